import { useLine, useWaiting } from '@/state/sync';
import { Line } from './Line';

/** Told on every screen while the server is away: what waits here, and that work goes on. */
export function AwayLine() {
  const reached = useLine((state) => state.reached);
  const waiting = useWaiting();
  if (reached !== false) return null;
  const kept =
    waiting === 0
      ? 'Go on: what you change is kept on this device and sent when it is back.'
      : `${waiting} ${waiting === 1 ? 'change is' : 'changes are'} kept on this device, sent when it is back.`;
  return <Line tone="thread" word="The server is away." text={kept} />;
}
