import { fittingDefinition, type Field, type FieldValue, SHAPES, shapeDefinition, withShape } from '@keep-snug/core';
import { View } from 'react-native';
import { Fold } from '@/ui/layout/Fold';
import { FieldRow } from '@/ui/layout/FieldRow';
import { faultAt, OptionFields } from '@/ui/fields/OptionFields';
import { Pick as PickField } from '@/ui/fields/Pick';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import type { Stage, StageProps } from './definition';

function Body({ plan, faults, edit }: StageProps) {
  const shape = shapeDefinition(plan.shape.kind)!;
  const word = useWord();
  const refining = shape.options.filter(({ refines }) => refines);
  return (
    <View style={{ gap: 8 }}>
      {SHAPES.length > 1 ? (
        <FieldRow>
          <PickField
            label="Shape"
            value={shape.id}
            options={SHAPES}
            onChange={(kind) => edit((old) => withShape(old, kind))}
          />
        </FieldRow>
      ) : (
        <Words as="strong">{shape.name}</Words>
      )}
      <Words>{word(shape.summary)}</Words>
      <Parked plan={plan} />
      <Faults faults={faults} />
      <Options fields={shape.options.filter(({ refines }) => !refines)} {...{ plan, faults, edit }} />
      {refining.length > 0 ? (
        <Fold
          title={shape.foldedBy ? 'Folded by number' : 'Further choices'}
          says={word(setIn(refining, plan) ?? (shape.foldedBy ? 'where the sizes have it' : 'none made'))}
          wrong={refining.some(({ key }) => faultAt(faults, `shape.${key}`) !== undefined)}
        >
          <Options fields={refining} {...{ plan, faults, edit }} />
        </Fold>
      ) : null}
    </View>
  );
}

function Options({ fields, plan, faults, edit }: Omit<StageProps, 'worked'> & { fields: readonly Field[] }) {
  return (
    <OptionFields
      fields={fields}
      values={plan.shape}
      path="shape"
      faults={faults}
      onChange={(key, value) => edit((old) => ({ ...old, shape: { ...old.shape, [key]: value } }))}
    />
  );
}

/** What is set of seldom set options, in a line. */
function setIn(fields: readonly Field[], { shape }: StageProps['plan']): string | undefined {
  const set = fields.filter(({ key }) => shape[key] !== undefined);
  if (set.length === 0) return undefined;
  return set.map((field) => `${field.label.toLowerCase()}: ${valueOf(field, shape[field.key]!)}`).join(', ');
}

/** A value as its field shows it, with its words as tokens. */
function valueOf(field: Field, value: FieldValue): string {
  if (field.kind === 'choice') return field.options.find(({ id }) => id === value)?.name ?? String(value);
  if (field.kind === 'length') return `{mm:${Number(value)}}`;
  if (field.kind === 'number') return `${Number(value)} ${field.unit}`.trim();
  return String(value);
}

function Faults({ faults }: Pick<StageProps, 'faults'>) {
  const fault = faultAt(faults, 'shape.kind');
  return fault ? (
    <Words as="small" tone="rowan">
      {fault}
    </Words>
  ) : null;
}

/** What was left off because it does not belong on this shape, and comes back with one it belongs on. */
function Parked({ plan }: Pick<StageProps, 'plan'>) {
  if (!plan.parked?.length) return null;
  const names = plan.parked.map(({ kind }) => fittingDefinition(kind)!.name.toLowerCase()).join(', ');
  return (
    <Words as="small" tone="thread">
      {`Left off on this shape: ${names}. They come back with a shape they belong on.`}
    </Words>
  );
}

export const shapeStage: Stage = {
  id: 'shape',
  name: 'Shape',
  owns: ['shape'],
  summary: ({ shape }) => shapeDefinition(shape.kind)!.name.toLowerCase(),
  Body,
};
