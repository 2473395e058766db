import type { Make, Mended, MendChoice } from '@keep-snug/core';
import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import type { Progress } from '@/reading/useProgress';
import { PlannedAndNow } from './PlannedAndNow';
import { asWritten, WaysOn } from './WaysOn';

interface Props {
  id: string;
  make: Make;
  mended: Mended;
  progress: Progress;
  onTaken: () => void;
}

/** Planned, now, and the ways to go on beside each other. */
export function MendWays({ id, make, mended, progress, onTaken }: Props) {
  const happened = useEvents((state) => state.happened);
  const carryOn = mended.choices.find((choice) => choice.id === 'carry-on');
  const again = nextCheck(progress);
  const take = ({ id: choice, from, plan }: MendChoice) => {
    happened(id, { kind: 'decided', choice, from, plan: asWritten(plan, make.plan) });
    onTaken();
  };
  return (
    <View style={{ gap: 12 }}>
      <PlannedAndNow mended={mended} carryOn={carryOn!} />
      {mended.noneFits ? <Words>{mended.noneFits}</Words> : null}
      <WaysOn choices={mended.choices} onTake={take} />
      {again ? (
        <Words as="small" tone="faint">{`These chances hold if you measure again after ${again}.`}</Words>
      ) : null}
    </View>
  );
}

/** When the tape is laid on the piece again, in words; nothing where it is not any more. */
function nextCheck({ checks, state, piece, worked }: Progress): string | undefined {
  const order = new Map(worked.steps.map(({ id }, index) => [id, index]));
  const now = order.get(state.last?.step ?? '') ?? -1;
  const next = checks.find(({ step, piece: of }) => of === piece.id && order.get(step)! > now);
  return next && `${piece.worked === 'rounds' ? 'round' : 'row'} ${next.row}`;
}
