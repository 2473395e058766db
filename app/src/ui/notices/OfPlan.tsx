import type { Plan } from '@keep-snug/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useLibrary } from '@/data/library';
import { Clash } from './Clash';
import { Missing } from './Missing';

interface Props {
  id: string;
  children: (plan: Plan) => ReactNode;
}

/** A room that looks at a plan: with what stands in its way, or in place of it where it is not here. */
export function OfPlan({ id, children }: Props) {
  const held = useLibrary((state) => state.shelves.plans[id]);
  if (!held) return <Missing what="plan" />;
  return (
    <View style={{ flex: 1 }}>
      <Clash kind="plans" id={id} held={held} />
      {children(held.body)}
    </View>
  );
}
