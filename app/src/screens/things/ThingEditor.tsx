import { type Plan, type ThingSpec, isBlank, upTo, plural } from '@keep-snug/core';
import type { ThingRecord } from '@keep-snug/core/documents';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CheckLine } from '@/ui/fields/CheckLine';
import { Clash } from '@/ui/notices/Clash';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Panel } from '@/ui/layout/Panel';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useHistory } from '@/data/history';
import { useLibrary, useShelf } from '@/data/library';
import { ThingFields } from '@/ui/fields/ThingFields';
import type { LocalDocument } from '@/data/types';

interface Props {
  id: string;
  held: LocalDocument<ThingRecord>;
  onClose: () => void;
}

/** A thing on the shelf, measured anew; then asks which open plans should follow. */
export function ThingEditor({ id, held, onClose }: Props) {
  const { body } = held;
  const change = useLibrary((state) => state.change);
  // what plans held when the editor was opened: those are the ones that may follow
  const [before] = useState(() => JSON.stringify(unnamed(body.thing)));
  const put = (next: ThingRecord) => change('things', id, next);
  return (
    <Panel title={body.name} onClose={onClose}>
      <Clash kind="things" id={id} held={held} />
      <FieldRow>
        <TextField
          label="Name"
          value={body.name}
          onChange={(text) => {
            const name = upTo(text, 120);
            if (!isBlank(name)) put({ name, thing: { ...body.thing, name } });
          }}
        />
      </FieldRow>
      <ThingFields thing={body.thing} path="thing" faults={[]} onChange={(thing) => put({ ...body, thing })} />
      <Followers before={before} thing={body.thing} />
    </Panel>
  );
}

/** Its measures without its name: what two plans of one thing have in common. */
function unnamed({ name: _name, ...thing }: ThingSpec): object {
  return thing;
}

/** Plans that still hold the thing as it was, each to follow or to stay. */
function Followers({ before, thing }: { before: string; thing: ThingSpec }) {
  const edit = useHistory((state) => state.edit);
  const plans = useShelf('plans').filter(([, held]) => holds(held, before));
  const [left, setLeft] = useState<readonly string[]>([]);
  const chosen = plans.map(([plan]) => plan).filter((plan) => !left.includes(plan));
  if (JSON.stringify(unnamed(thing)) === before || plans.length === 0) return null;
  const follow = (ids: readonly string[]) => ids.forEach((plan) => edit(plan, (old) => ({ ...old, thing })));
  return (
    <View role="group" aria-label="Plans that may follow" style={{ gap: 4 }}>
      <Words as="strong" level={3}>
        Update these plans with the new measurements?
      </Words>
      {plans.map(([plan, held]) => (
        <CheckLine
          key={plan}
          label={held.body.title}
          on={!left.includes(plan)}
          onChange={(on) => setLeft(on ? left.filter((id) => id !== plan) : [...left, plan])}
        />
      ))}
      <View style={{ flexDirection: 'row' }}>
        <Action disabled={chosen.length === 0} onPress={() => follow(chosen)}>
          {`Update ${plural(chosen.length, 'plan')}`}
        </Action>
      </View>
      <Words as="small" tone="faint">
        Other plans keep the old measurements.
      </Words>
    </View>
  );
}

function holds({ body }: LocalDocument<Plan>, before: string): boolean {
  return JSON.stringify(unnamed(body.thing)) === before;
}
