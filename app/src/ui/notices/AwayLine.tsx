import { plural } from '@keep-snug/core';
import { useAway, useWaiting } from '@/data/sync';
import { Line } from '@/ui/lists/Line';

/** Told on every screen while the server is away: what waits here, and that work goes on. */
export function AwayLine() {
  const isAway = useAway();
  const waiting = useWaiting();
  if (!isAway) return null;
  const kept =
    waiting === 0
      ? 'Changes are saved on this device and sent when you are back online.'
      : `${plural(waiting, 'change is', 'changes are')} saved on this device and sent when you are back online.`;
  return <Line tone="thread" word="You are offline." text={kept} />;
}
