import type { ChoicesField as Field } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Below } from './Below';
import { Pick } from './Pick';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';

interface Props {
  field: Field;
  value: readonly string[];
  /** What is wrong with them, told by the reckoning. */
  error?: string | undefined;
  onChange: (list: readonly string[]) => void;
}

/** Several of a list in an order that matters: each can be changed or taken out, and one more put at the end. */
export function ChoicesField({ field, value, error, onChange }: Props) {
  const word = useWord();
  const options = field.options.map(({ id, name }) => ({ id, name: word(name) }));
  const last = value.at(-1) ?? field.options[0]!.id;
  return (
    <View role="group" aria-label={field.label} style={{ flexBasis: '100%', gap: 4 }}>
      <Words as="smallStrong">{field.label}</Words>
      {value.map((id, index) => (
        <View
          key={`${index} of ${value.length}`}
          style={{ flexDirection: 'row', alignItems: 'flex-end', columnGap: 12 }}
        >
          <Pick
            label={String(index + 1)}
            value={id}
            options={options}
            onChange={(next) => onChange(value.map((old, at) => (at === index ? next : old)))}
          />
          {value.length > 1 ? (
            <Action label={`Remove ${index + 1}`} onPress={() => onChange(value.filter((_, at) => at !== index))}>
              Remove
            </Action>
          ) : null}
        </View>
      ))}
      {value.length < field.most ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => onChange([...value, last])}>Add another</Action>
        </View>
      ) : null}
      <Below error={error} />
    </View>
  );
}
