import { useEffect, useRef } from 'react';
import { clickDone, takeClicks, useInstruments } from '@/data/instruments';

/** A row clicker ticks the make that is open, one step a press, however fast they come. */
export function useClicker(tick: (press: string) => void): void {
  const latest = useRef(tick);
  useEffect(() => {
    latest.current = tick;
  });
  useEffect(takeClicks, []);
  const next = useInstruments(({ clicks }) => clicks[0]);
  useEffect(() => {
    if (next === undefined) return;
    latest.current(next);
    clickDone(next);
  }, [next]);
}
