import {
  carrierDefinition,
  CARRIERS,
  measuresOf,
  sectionOf,
  type CarrierSpec,
  type FieldValues,
  type Measure,
  type BarSection,
  type Plan,
  withWhatGoes,
} from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { faultAt, OptionFields } from '@/ui/fields/OptionFields';
import { Pick } from '@/ui/fields/Pick';
import { RadioList } from '@/ui/fields/RadioList';
import { Words } from '@/ui/layout/Words';
import { Notice } from '@/ui/notices/Notice';
import { MeasureField } from '@/ui/fields/MeasureField';
import type { StageProps } from './definition';

const NONE = '';

/** What came with what it is carried by, and the plan without it. */
interface Came {
  bare: Plan;
  names: readonly string[];
  because: string;
}

/** What carries the finished piece: nothing, a bar, or the body. */
export function CarrierFields({ plan, faults, edit }: Omit<StageProps, 'worked'>) {
  const { carrier } = plan;
  const definition = CARRIERS.find(({ id }) => id === carrier?.kind);
  const set = (next: CarrierSpec | undefined) =>
    edit(({ carrier: _old, ...old }) => (next ? { ...old, carrier: next } : old));
  const [came, setCame] = useState<Came | null>(null);
  const carry = (kind: string) => {
    if (kind === NONE) return set(undefined);
    const next: Plan = { ...plan, carrier: carrierDefinition(kind as CarrierSpec['kind']).start };
    const { plan: whole, added } = withWhatGoes(next);
    setCame(added.length > 0 ? { bare: next, names: added.map(({ name }) => name), because: added[0]!.because } : null);
    edit(() => whole);
  };
  const missing = faultAt(faults, 'carrier') ?? faultAt(faults, 'carrier.section');
  return (
    <View style={{ gap: 8 }}>
      <FieldRow>
        <Pick
          label="Carried by"
          value={carrier?.kind ?? NONE}
          options={[{ id: NONE, name: 'nothing (hand or pocket)' }, ...CARRIERS]}
          onChange={carry}
          hint={definition?.examples ?? ''}
        />
      </FieldRow>
      {came && carrier ? (
        <Notice tone="sea" word={`With it: ${came.names.join(', ').toLowerCase()}`} text={came.because}>
          <View style={{ flexDirection: 'row' }}>
            <Action
              onPress={() => {
                setCame(null);
                edit(() => came.bare);
              }}
            >
              Take it off again
            </Action>
          </View>
        </Notice>
      ) : null}
      {missing ? (
        <Words as="small" tone="rowan">
          {missing}
        </Words>
      ) : null}
      {carrier && definition?.asksFirst ? (
        <View>
          <Words as="smallStrong">{definition.asksFirst.label}</Words>
          <RadioList
            label={definition.asksFirst.label}
            options={definition.asksFirst.options}
            value={sectionOf(carrier) ?? NONE}
            onChange={(section) => set({ ...carrier, section: section as BarSection })}
          />
        </View>
      ) : null}
      {carrier && definition
        ? measuresOf(carrier).map((field) => (
            <MeasureField
              key={field.key}
              field={field}
              sketch={definition.sketch}
              usual="tape"
              measure={carrier[field.key] as Measure | undefined}
              onChange={(measure) => set({ ...carrier, [field.key]: measure })}
              {...(field.optional ? { onClear: () => set(without(carrier, field.key)) } : {})}
              fault={faultAt(faults, `carrier.${field.key}`) ?? faultAt(faults, `carrier.${field.key}.mm`)}
            />
          ))
        : null}
      {carrier && definition?.choices ? (
        <OptionFields
          fields={definition.choices}
          values={carrier as FieldValues}
          path="carrier"
          faults={faults}
          onChange={(key, value) => set({ ...carrier, [key]: value as string })}
        />
      ) : null}
    </View>
  );
}

function without(carrier: CarrierSpec, key: string): CarrierSpec {
  const { [key]: _gone, ...rest } = carrier;
  return rest as CarrierSpec;
}
