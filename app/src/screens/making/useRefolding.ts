import { attempted, refolding, type Make, type Refolding } from '@keep-snug/core';
import { useMemo } from 'react';
import { useMakeEvents } from '@/data/events';
import type { Progress } from '@/reading/useProgress';
import { readBy, useReader } from '@/reading/useWorked';
import { eventsReadBy } from './useMended';

/** Where the strip on the hook may be folded, once its rows are all there and nothing is joined; nothing before and after. */
export function useRefolding(id: string, make: Make, { next, worked }: Progress): Refolding | null {
  const reader = useReader();
  const events = useMakeEvents(id);
  // asked at one place of the whole make: it is not worked out for every row
  const isBefore = next?.section === 'joining' && next.row === null && worked.pieces.length > 0;
  return useMemo(
    () =>
      isBefore ? (attempted(() => refolding(readBy(make.plan, reader), eventsReadBy(events, reader))) ?? null) : null,
    [isBefore, make.plan, events, reader],
  );
}
