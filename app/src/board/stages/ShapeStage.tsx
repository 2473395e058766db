import { fittingsOn, SHAPES, shapeDefinition, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/parts/FieldRow';
import { faultAt, OptionFields } from '@/parts/OptionFields';
import { Pick as PickField } from '@/parts/Pick';
import { Words } from '@/parts/Words';
import type { Stage, StageProps } from './definition';

function Body({ plan, faults, edit }: StageProps) {
  const shape = shapeDefinition(plan.shape.kind)!;
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
      <Words>{shape.summary}</Words>
      <Faults faults={faults} />
      <OptionFields
        fields={shape.options}
        values={plan.shape}
        path="shape"
        faults={faults}
        onChange={(key, value) => edit((old) => ({ ...old, shape: { ...old.shape, [key]: value } }))}
      />
    </View>
  );
}

function Faults({ faults }: Pick<StageProps, 'faults'>) {
  const fault = faultAt(faults, 'shape.kind');
  return fault ? (
    <Words as="small" tone="rowan">
      {fault}
    </Words>
  ) : null;
}

/** Another shape begins with its own options and counts, and keeps the fittings that belong on it. */
function withShape({ picks: _picks, ...old }: Plan, kind: string): Plan {
  return {
    ...old,
    shape: { kind },
    fittings: fittingsOn(shapeDefinition(kind)!, old.fittings),
  };
}

export const shapeStage: Stage = {
  id: 'shape',
  name: 'Shape',
  owns: ['shape'],
  summary: ({ shape }) => shapeDefinition(shape.kind)!.name.toLowerCase(),
  Body,
};
