import {
  isBlank,
  mainColour,
  SEQUENCES,
  TAILS,
  tailsDone,
  upTo,
  type FabricSpec,
  type PlanFault,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { faultAt, OptionFields } from '@/ui/fields/OptionFields';
import { Pick } from '@/ui/fields/Pick';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { ColourFields, STRIPE_ROWS } from './ColourFields';
import { nextColour } from './nextColour';

type Sequence = NonNullable<FabricSpec['sequence']>;

interface Props {
  fabric: FabricSpec;
  faults: readonly PlanFault[];
  set: (change: (fabric: FabricSpec) => FabricSpec) => void;
}

const ROWS = 'rows';
const MOST = 12;

/** How rows take their colours: so many of each in turn, or by a rule. */
export function StripesPart({ fabric, faults, set }: Props) {
  const { colours = [], sequence } = fabric;
  const put = (next: Sequence) => set((old) => ({ ...old, sequence: next }));
  const choose = (by: string) =>
    set(({ colours: rows = [], sequence: rule, ...rest }) => {
      const names = [...new Set([...rows, ...(rule?.colours ?? [])].map(({ name }) => name))];
      if (by === ROWS)
        return {
          ...rest,
          ...(names.length > 0 ? { colours: names.map((name) => ({ name, rows: STRIPE_ROWS })) } : {}),
        };
      const known = names.length > 1 ? names : [mainColour(fabric), 'colour 2'];
      return { ...rest, sequence: { by, colours: known.map((name) => ({ name })) } };
    });
  return (
    <View role="group" aria-label="Colours of the rows" style={{ gap: 4 }}>
      <FieldRow>
        <Pick
          label="Stripes"
          value={sequence?.by ?? ROWS}
          options={[{ id: ROWS, name: 'by rows' }, ...SEQUENCES.map(({ id, name }) => ({ id, name }))]}
          hint={SEQUENCES.find(({ id }) => id === sequence?.by)?.help ?? 'So many rows of each, over and over.'}
          onChange={choose}
        />
      </FieldRow>
      {sequence ? (
        <RuleFields sequence={sequence} faults={faults} onChange={put} onClear={() => set(withoutRule)} />
      ) : (
        <ColourFields
          colours={colours}
          main={mainColour(fabric)}
          fault={faultAt(faults, 'fabric.colours')}
          onChange={(next) => set((old) => ({ ...old, colours: next }))}
        />
      )}
      {colours.length + (sequence?.colours.length ?? 0) > 1 ? (
        <FieldRow>
          <Pick
            label="Tails at a change"
            value={tailsDone(fabric).id}
            options={TAILS.map(({ id, name }) => ({ id, name }))}
            hint={tailsDone(fabric).summary}
            onChange={(tails) => set((old) => ({ ...old, tails }))}
          />
        </FieldRow>
      ) : null}
    </View>
  );
}

const withoutRule = ({ sequence: _rule, ...fabric }: FabricSpec): FabricSpec => fabric;

interface RuleProps {
  sequence: Sequence;
  faults: readonly PlanFault[];
  onChange: (sequence: Sequence) => void;
  onClear: () => void;
}

function RuleFields({ sequence, faults, onChange, onClear }: RuleProps) {
  const { part, options } = SEQUENCES.find(({ id }) => id === sequence.by)!;
  const { colours } = sequence;
  const put = (next: Sequence['colours']) => onChange({ ...sequence, colours: next });
  const { by: _by, colours: _colours, ...values } = sequence;
  const fault = faultAt(faults, 'fabric.sequence');
  return (
    <>
      {colours.map((one, index) => (
        <FieldRow key={`${index} of ${colours.length}`}>
          <TextField
            label={`Colour ${index + 1}`}
            value={one.name}
            onChange={(name) =>
              put(
                colours.map((old, at) =>
                  at === index ? { ...old, name: isBlank(name) ? 'colour' : upTo(name, 60) } : old,
                ),
              )
            }
          />
          {part ? (
            <NumberField
              label={`${part.label} of colour ${index + 1}`}
              value={one.part ?? part.first}
              min={part.least}
              max={part.most}
              unit={part.unit}
              onChange={(value) => put(colours.map((old, at) => (at === index ? { ...old, part: value } : old)))}
            />
          ) : null}
          {colours.length > 1 ? (
            <Action label={`Remove colour ${index + 1}`} onPress={() => put(colours.filter((_, at) => at !== index))}>
              Remove
            </Action>
          ) : null}
        </FieldRow>
      ))}
      <OptionFields
        fields={options}
        values={values as Parameters<typeof OptionFields>[0]['values']}
        path="fabric.sequence"
        faults={faults}
        onChange={(key, value) => onChange({ ...sequence, [key]: value })}
      />
      {fault ? (
        <Words as="small" tone="rowan">
          {fault}
        </Words>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {colours.length < MOST ? (
          <Action onPress={() => put([...colours, { name: nextColour(colours) }])}>Add a colour</Action>
        ) : null}
        {sequence.by === 'random' ? (
          <Action onPress={() => onChange({ ...sequence, seed: ((Number(sequence.seed ?? 1) * 7) % 9973) + 1 })}>
            Throw again
          </Action>
        ) : null}
        <Action onPress={onClear}>Remove the stripes</Action>
      </View>
    </>
  );
}
