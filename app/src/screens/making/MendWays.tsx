import type { Make, Mended, MendChoice } from '@keep-snug/core';
import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { PlannedAndNow } from './PlannedAndNow';
import { asWritten, WaysOn } from './WaysOn';

interface Props {
  id: string;
  make: Make;
  mended: Mended;
  onTaken: () => void;
}

/** Planned, now, and the ways to go on beside each other. */
export function MendWays({ id, make, mended, onTaken }: Props) {
  const happened = useEvents((state) => state.happened);
  const carryOn = mended.choices.find((choice) => choice.id === 'carry-on');
  const take = ({ id: choice, from, plan }: MendChoice) => {
    happened(id, { kind: 'decided', choice, from, plan: asWritten(plan, make.plan) });
    onTaken();
  };
  return (
    <View style={{ gap: 12 }}>
      <PlannedAndNow mended={mended} carryOn={carryOn!} />
      {mended.noneFits ? <Words>{mended.noneFits}</Words> : null}
      <WaysOn choices={mended.choices} onTake={take} />
    </View>
  );
}
