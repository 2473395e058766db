import { duration } from '@keep-snug/core';
import { Words } from '@/ui/layout/Words';
import type { Progress } from '@/reading/useProgress';

/** How long it took so far, and when it is done at this pace: by the ticks alone, pauses left out. */
export function PaceLine({ pace, next }: Pick<Progress, 'pace' | 'next'>) {
  if (!pace || !next) return null;
  return (
    <Words as="small" tone="faint">
      {`${atTheHook(pace.minutes)} so far, without breaks. At this pace about ${duration(pace.left)} to go.`}
    </Words>
  );
}

/** Minutes that were spent: to the minute within the first hour. */
export const atTheHook = (minutes: number): string => {
  const whole = Math.max(1, Math.round(minutes));
  if (whole < 60) return whole === 1 ? '1 minute' : `${whole} minutes`;
  return `${Math.floor(whole / 60)} h ${whole % 60} min`;
};
