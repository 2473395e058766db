import {
  FITTINGS,
  fittingDefinition,
  type FieldValue,
  type FittingDefinition,
  type FittingSpec,
  type PlanFault,
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

const FIGURE_NAMES: Readonly<Record<string, string>> = {
  length: 'Length',
  width: 'Width',
  height: 'Height',
  edgeBelowFrontTop: 'Edge below the front’s top',
  asked: 'Length needed',
  chains: 'Chains',
  buttonBelowFrontTop: 'Button below the front’s top',
  below: 'Below the front’s top',
  loop: 'Body loop',
  growth: 'Grows under its load, as a share',
  cut: 'Cut length',
  made: 'As made',
  opening: 'Opening',
  holes: 'Holes',
  hole: 'Hole',
  girth: 'Round the bundle',
  wide: 'Cut, wide',
  long: 'Cut, long',
  stitches: 'Stitches',
  depth: 'Depth',
  yarn: 'Yarn for it',
  zip: 'Zip',
};

function Body({ plan, worked, faults, edit }: StageProps) {
  const list = plan.fittings ?? [];
  const set = (next: FittingSpec[]) => edit((old) => ({ ...old, fittings: next }));
  const absent = FITTINGS.filter((f) => !list.some(({ kind }) => kind === f.id));
  const free = absent.filter((f) => f.shapes.includes(plan.shape.kind));
  const elsewhere = absent.filter((f) => !f.shapes.includes(plan.shape.kind));
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
      {elsewhere.length > 0 ? <Elsewhere fittings={elsewhere} /> : null}
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
            <FigureLine key={key} name={FIGURE_NAMES[key] ?? capital(key)} figure={figure} />
          ))}
        </>
      ) : null}
    </View>
  );
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

/** What does not belong on this shape, and where it would. */
function Elsewhere({ fittings }: { fittings: readonly FittingDefinition[] }) {
  return (
    <View style={{ gap: 4 }}>
      <Words as="smallStrong" tone="faint">
        Not on this shape
      </Words>
      {fittings.map(({ id, name, elsewhere }) => (
        <Words key={id} as="small" tone="faint">{`${name}: ${elsewhere}`}</Words>
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
  return list.filter((spec) => spec.kind !== kind && !fittingDefinition(spec.kind)!.needs.includes(kind));
}

function withNeeds(list: readonly FittingSpec[], { needs }: FittingDefinition): FittingSpec[] {
  return [...list, ...needs.filter((kind) => !list.some((spec) => spec.kind === kind)).map((kind) => ({ kind }))];
}

export const fittingsStage: Stage = {
  id: 'fittings',
  name: 'Fittings',
  owns: ['fittings'],
  summary: ({ fittings }, worked, say) => {
    if (!fittings || fittings.length === 0) return 'none';
    return fittings
      .map((spec) => {
        const name = fittingDefinition(spec.kind)!.name.toLowerCase();
        if (spec.kind === 'button-loop') return `${name} for a ${say.length(Number(spec.buttonMm ?? 20))} button`;
        const long = worked?.fittings.find(({ kind }) => kind === spec.kind)?.figures.length;
        return long ? `${name} ${say.length(long.value)}` : name;
      })
      .join('; ');
  },
  Body,
};
