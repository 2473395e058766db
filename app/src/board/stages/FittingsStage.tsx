import {
  belongsOn,
  figureName,
  FITTINGS,
  fittingDefinition,
  giverOf,
  shapeDefinition,
  whyNotOn,
  withDefaults,
  type FieldValue,
  type FittingDefinition,
  type FittingSpec,
  type PlanFault,
  type ShapeDefinition,
  type Worked,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { FigureLine } from '@/parts/FigureLine';
import { faultAt, OptionFields } from '@/parts/OptionFields';
import { Pick } from '@/parts/Pick';
import { Words } from '@/parts/Words';
import { useColours } from '@/theme/useTheme';
import type { Stage, StageProps } from './definition';

function Body({ plan, worked, faults, edit }: StageProps) {
  const list = plan.fittings ?? [];
  const set = (next: FittingSpec[]) => edit((old) => ({ ...old, fittings: next }));
  const absent = FITTINGS.filter((f) => !list.some(({ kind }) => kind === f.id));
  const shape = shapeDefinition(plan.shape.kind)!;
  const free = absent.filter((fitting) => belongsOn(shape, fitting));
  const elsewhere = absent.filter((fitting) => !belongsOn(shape, fitting));
  return (
    <View style={{ gap: 12 }}>
      {list.map((spec, index) => (
        <Fitted
          key={spec.kind}
          spec={spec}
          path={`fittings[${index}]`}
          placed={worked?.fittings.find(({ kind }) => kind === spec.kind)}
          faults={faults}
          onChange={(key, value) => set(list.map((old, at) => (at === index ? changed(old, key, value) : old)))}
          onRemove={() => set(without(list, spec.kind))}
        />
      ))}
      <FieldRow>
        <Pick
          label="Add a fitting"
          value=""
          options={[{ id: '', name: 'choose one' }, ...free]}
          hint="What belongs on this shape."
          onChange={(kind) => {
            const definition = fittingDefinition(kind);
            if (definition) set([...withNeeds(list, definition), { kind }]);
          }}
        />
      </FieldRow>
      {elsewhere.length > 0 ? <Elsewhere fittings={elsewhere} shape={shape} /> : null}
    </View>
  );
}

interface FittedProps {
  spec: FittingSpec;
  path: string;
  placed: Worked['fittings'][number] | undefined;
  faults: readonly PlanFault[];
  onChange: (key: string, value: FieldValue | undefined) => void;
  onRemove: () => void;
}

function Fitted({ spec, path, placed, faults, onChange, onRemove }: FittedProps) {
  const colours = useColours();
  const definition = fittingDefinition(spec.kind)!;
  const fault = faultAt(faults, `${path}.kind`);
  return (
    <View
      role="group"
      aria-label={definition.name}
      style={{ borderTopWidth: 1, borderColor: colours.line, paddingTop: 8, gap: 4 }}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1 }}>
          <Words as="strong" level={3}>
            {definition.name}
          </Words>
          <Words as="small" tone="faint">
            {definition.summary}
          </Words>
        </View>
        <Action label={`Take off: ${definition.name}`} onPress={onRemove}>
          Take off
        </Action>
      </View>
      {fault ? (
        <Words as="small" tone="rowan">
          {fault}
        </Words>
      ) : null}
      <OptionFields fields={definition.options} values={spec} path={path} faults={faults} onChange={onChange} />
      {placed ? (
        <>
          <Words as="small">{`${placed.place.charAt(0).toUpperCase()}${placed.place.slice(1)}.`}</Words>
          {Object.entries(placed.figures).map(([key, figure]) => (
            <FigureLine key={key} name={figureName(definition, key)!} figure={figure} />
          ))}
        </>
      ) : null}
    </View>
  );
}

/** What does not belong on this shape, and where it would. */
function Elsewhere({ fittings, shape }: { fittings: readonly FittingDefinition[]; shape: ShapeDefinition }) {
  return (
    <View style={{ gap: 4 }}>
      <Words as="smallStrong" tone="faint">
        Not on this shape
      </Words>
      {fittings.map((fitting) => (
        <Words key={fitting.id} as="small" tone="faint">{`${fitting.name}: ${whyNotOn(shape, fitting)}`}</Words>
      ))}
    </View>
  );
}

function changed(spec: FittingSpec, key: string, value: FieldValue | undefined): FittingSpec {
  const { [key]: _old, ...rest } = spec;
  return (value === undefined ? rest : { ...rest, [key]: value }) as FittingSpec;
}

/** Taking off a fitting takes off those that cannot be without it. */
function without(list: readonly FittingSpec[], kind: string): FittingSpec[] {
  return list.filter((spec) => spec.kind !== kind && giverOf(fittingDefinition(spec.kind)!)?.id !== kind);
}

function withNeeds(list: readonly FittingSpec[], fitting: FittingDefinition): FittingSpec[] {
  const giver = giverOf(fitting);
  return !giver || list.some(({ kind }) => kind === giver.id) ? [...list] : [...list, { kind: giver.id }];
}

export const fittingsStage: Stage = {
  id: 'fittings',
  name: 'Fittings',
  owns: ['fittings'],
  summary: ({ fittings }, worked, say) => {
    if (!fittings || fittings.length === 0) return 'none';
    return fittings
      .map((spec) => {
        const definition = fittingDefinition(spec.kind)!;
        const name = definition.name.toLowerCase();
        if (definition.told) return `${name} ${definition.told(withDefaults(definition.options, spec), say)}`;
        const long = worked?.fittings.find(({ kind }) => kind === spec.kind)?.figures.length;
        return long ? `${name} ${say.length(long.value)}` : name;
      })
      .join('; ');
  },
  Body,
};
