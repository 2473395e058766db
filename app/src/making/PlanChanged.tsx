import type { Make } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { reckonFor, useReader } from '@/board/useWorked';
import { Action } from '@/parts/Action';
import { Notice } from '@/parts/Notice';
import { useLibrary, type LocalDocument } from '@/state/library';

interface Props {
  id: string;
  held: LocalDocument<Make>;
}

/** Told when the plan was changed after this make began: go on as begun, or take the change up. */
export function PlanChanged({ id, held }: Props) {
  const make = held.body;
  const reader = useReader();
  const plan = useLibrary((state) => state.shelves.plans[make.planId]?.body);
  const change = useLibrary((state) => state.change);
  const [setAside, setSetAside] = useState<typeof plan>();
  if (!plan || plan === setAside || JSON.stringify(plan) === JSON.stringify(make.plan)) return null;
  const { worked } = reckonFor(plan, reader);
  if (!worked) return null;
  const piece = worked.pieces[0]!;
  return (
    <Notice tone="thread" word="The plan has changed since you started" text={`New: ${piece.summary}.`}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => change('makes', id, { ...make, plan, title: plan.title })}>Use the new plan</Action>
        <Action onPress={() => setSetAside(plan)}>Keep the old plan</Action>
      </View>
    </Notice>
  );
}
