import { hexOf, usualHex, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { TextField } from '@/ui/fields/TextField';
import { Thread } from '@/ui/layout/Thread';
import { useTyped } from '@/ui/fields/useTyped';

interface Props {
  plan: Plan;
  name: string;
  number: number;
  onChange: (hex: string | undefined) => void;
  /** Says how much there is of it; nothing where its yarn says so. */
  onLeft?: ((grams: number | undefined, hex: string) => void) | undefined;
}

const HEX = /^#[\da-f]{6}$/i;
const read = (text: string): string | undefined => (HEX.test(text.trim()) ? text.trim() : usualHex(text));

/** How a colour looks: as a word, such as slate, or as #4A5A68; left empty it looks as its name usually does. */
export function LookField({ plan, name, number, onChange, onLeft }: Props) {
  const said = plan.palette?.[name]?.hex;
  const { line, error, type, leave } = useTyped({
    shown: said ?? '',
    value: said,
    wrong: (text) =>
      text.trim() === '' || read(text)
        ? undefined
        : `“${text.trim()}” is not a colour known here. Write a word such as dark green, or #4A5A68.`,
    take: (text) => {
      if (text.trim() === '') return onChange(undefined);
      const hex = read(text);
      if (hex) onChange(hex);
    },
    back: onChange,
  });
  const hex = hexOf(plan.palette, plan.fabric, name);
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', columnGap: 10, width: '100%' }}>
      {hex ? <Thread hex={hex} number={number} /> : null}
      <View style={{ flex: 1 }}>
        <FieldRow>
          <TextField
            label={`Look of ${name}`}
            value={line}
            onChange={type}
            onBlur={leave}
            error={error}
            hint={hex && !said ? `as ${name} usually is` : ''}
          />
          {hex && onLeft ? (
            <NumberField
              label={`Grams of ${name}`}
              unit="g"
              value={plan.palette?.[name]?.gramsLeft}
              min={0}
              max={100_000}
              onChange={(grams) => onLeft(grams, hex)}
              onClear={() => onLeft(undefined, hex)}
            />
          ) : null}
        </FieldRow>
      </View>
    </View>
  );
}
