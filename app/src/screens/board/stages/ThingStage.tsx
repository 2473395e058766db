import { carrierDefinition, sizesOf, withThing, type Plan, isBlank, upTo } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { Pick } from '@/ui/fields/Pick';
import { TextField } from '@/ui/fields/TextField';
import { useLibrary, useShelf } from '@/data/library';
import { ThingFields } from '@/ui/fields/ThingFields';
import { CarrierFields } from './CarrierFields';
import { Proposals } from './Proposals';
import type { Stage, StageProps } from './definition';

function Body({ plan, faults, edit }: StageProps) {
  const shelf = useShelf('things');
  const add = useLibrary((state) => state.add);
  const same = shelf.find(([, held]) => JSON.stringify(held.body.thing) === JSON.stringify(plan.thing));
  const setThing = (thing: Plan['thing']) => edit((old) => ({ ...old, thing }));
  const name = String(plan.thing.name ?? '');

  return (
    <View style={{ gap: 8 }}>
      {shelf.length > 0 ? (
        <FieldRow>
          <Pick
            label="From your things"
            value={same?.[0] ?? ''}
            options={[
              ...(same ? [] : [{ id: '', name: 'as measured here' }]),
              ...shelf.map(([id, held]) => ({ id, name: held.body.name })),
            ]}
            onChange={(id) => {
              const found = shelf.find(([key]) => key === id);
              if (found) edit((old) => withThing(old, found[1].body.thing));
            }}
          />
        </FieldRow>
      ) : null}
      <FieldRow>
        <TextField label="Name" value={name} onChange={(next) => setThing({ ...plan.thing, name: upTo(next, 120) })} />
      </FieldRow>
      <ThingFields thing={plan.thing} path="thing" faults={faults} onChange={setThing} />
      <CarrierFields plan={plan} faults={faults} edit={edit} />
      <Proposals plan={plan} edit={edit} />
      {same || isBlank(name) ? null : (
        <Action onPress={() => add('things', { name: name.trim(), thing: plan.thing })}>Save to your things</Action>
      )}
    </View>
  );
}

export const thingStage: Stage = {
  id: 'thing',
  name: 'Thing',
  owns: ['thing', 'carrier'],
  summary: ({ thing, carrier }, _worked, say) => {
    const hung = carrier ? `, on ${carrierDefinition(carrier.kind).on}` : '';
    return `${String(thing.name || 'thing')}, ${sizesOf(thing, say)}${hung}`;
  },
  Body,
};
