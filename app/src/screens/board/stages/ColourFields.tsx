import { isBlank, upTo } from '@keep-snug/core';
import type { FabricSpec } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { nextColour } from './nextColour';

type Colours = NonNullable<FabricSpec['colours']>;

interface Props {
  colours: Colours;
  /** The colour the piece is in where nothing else is said: stripes begin with it. */
  main: string;
  fault: string | undefined;
  onChange: (colours: Colours) => void;
}

/** So wide a stripe is at first. */
export const STRIPE_ROWS = 4;

/** Stripes of colour: each for so many rows, over and over. None is one colour throughout. */
export function ColourFields({ colours, main, fault, onChange }: Props) {
  const more = { name: nextColour(colours.length === 0 ? [{ name: main }] : colours), rows: STRIPE_ROWS };
  const put = (index: number, next: Colours[number]) => onChange(colours.map((old, at) => (at === index ? next : old)));
  return (
    <View role="group" aria-label="Stripes of colour" style={{ gap: 4 }}>
      {colours.length > 0 ? <Words as="smallStrong">Stripes, from the first row, over and over</Words> : null}
      {colours.map((colour, index) => (
        <FieldRow key={`${index} of ${colours.length}`}>
          <TextField
            label={`Colour ${index + 1}`}
            value={colour.name}
            onChange={(name) => put(index, { ...colour, name: isBlank(name) ? 'colour' : upTo(name, 60) })}
          />
          <NumberField
            label={`Rows of colour ${index + 1}`}
            value={colour.rows}
            min={1}
            max={1000}
            whole
            onChange={(rows) => put(index, { ...colour, rows })}
          />
          <Action
            label={`Remove colour ${index + 1}`}
            onPress={() => onChange(colours.filter((_, at) => at !== index))}
          >
            Remove
          </Action>
        </FieldRow>
      ))}
      {fault ? (
        <Words as="small" tone="rowan">
          {fault}
        </Words>
      ) : null}
      {colours.length < 12 ? (
        <View style={{ flexDirection: 'row' }}>
          {colours.length === 0 ? (
            <Action onPress={() => onChange([{ name: main, rows: STRIPE_ROWS }, more])}>Add stripes</Action>
          ) : (
            <Action onPress={() => onChange([...colours, more])}>Add a colour</Action>
          )}
        </View>
      ) : null}
    </View>
  );
}
