import {
  capital,
  belongsOn,
  figureName,
  FITTINGS,
  fittingDefinition,
  giverOf,
  shapeDefinition,
  whyNotOn,
  shapeTaking,
  withDefaults,
  withFitting,
  type FieldValue,
  type FittingDefinition,
  type FittingSpec,
  type Plan,
  type PlanFault,
  type Worked,
} from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { FigureLine } from '@/ui/lists/FigureLine';
import { faultAt, OptionFields } from '@/ui/fields/OptionFields';
import { Pick as PickField } from '@/ui/fields/Pick';
import { Press } from '@/ui/actions/Press';
import { useWord } from '@/reading/useWord';
import { Words } from '@/ui/layout/Words';
import { useColours } from '@/theme/useTheme';
import { Proposals } from './Proposals';
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
        <PickField
          label="Add a fitting"
          value=""
          options={[{ id: '', name: 'choose one' }, ...free]}
          hint="Add-ons for this shape."
          onChange={(kind) => {
            if (fittingDefinition(kind)) edit((old) => withFitting(old, kind));
          }}
        />
      </FieldRow>
      <Proposals plan={plan} edit={edit} />
      {elsewhere.length > 0 ? <Elsewhere plan={plan} fittings={elsewhere} edit={edit} /> : null}
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
  const word = useWord();
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
            {word(definition.summary)}
          </Words>
        </View>
        <Action label={`Remove: ${definition.name}`} onPress={onRemove}>
          Remove
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
          <Words as="small">{`${capital(placed.place)}.`}</Words>
          {Object.entries(placed.figures).map(([key, figure]) => (
            <FigureLine key={key} name={figureName(definition, key)!} figure={figure} />
          ))}
        </>
      ) : null}
    </View>
  );
}

/** What does not belong on this shape, folded away, each with a shape that takes it. */
function Elsewhere({
  plan,
  fittings,
  edit,
}: { plan: Plan; fittings: readonly FittingDefinition[] } & Pick<StageProps, 'edit'>) {
  const [open, setOpen] = useState(false);
  const shape = shapeDefinition(plan.shape.kind)!;
  return (
    <View>
      <Press label="Not available for this shape" expanded={open} onPress={() => setOpen(!open)}>
        <Words as="smallStrong" tone="sea">
          {`${open ? 'Hide' : 'Show'} what is not available for this shape (${fittings.length})`}
        </Words>
      </Press>
      {open
        ? fittings.map((fitting) => {
            const other = shapeTaking(plan, fitting.id);
            return (
              <View key={fitting.id} style={{ paddingBottom: 6 }}>
                <Words as="small" tone="faint">{`${fitting.name}: ${whyNotOn(shape, fitting)}`}</Words>
                {other ? (
                  <View style={{ flexDirection: 'row' }}>
                    <Action label={`Use “${other.name}” with ${fitting.name}`} onPress={() => edit(() => other.plan)}>
                      {`Use “${other.name}”`}
                    </Action>
                  </View>
                ) : null}
              </View>
            );
          })
        : null}
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
