import { attempted, mend, type KeptEvent, type Make, type Mended } from '@keep-snug/core';
import { useMemo } from 'react';
import { readBy, useReader, type Reader } from '@/reading/useWorked';
import { useMakeEvents } from '@/data/events';

/** What the tape says of a make, and the ways to go on; null where its plan cannot be reckoned. */
export function useMended(id: string, make: Make): Mended | null {
  const reader = useReader();
  const events = useMakeEvents(id);
  return useMemo(() => mendedFor(make, events, reader), [make, events, reader]);
}

/** What happened, with the plans that were decided on in the reader's words and units. */
export const eventsReadBy = (events: readonly KeptEvent[], reader: Reader): KeptEvent[] =>
  events.map((event) => (event.kind === 'decided' ? { ...event, plan: readBy(event.plan, reader) } : event));

function mendedFor(make: Make, events: readonly KeptEvent[], reader: Reader): Mended | null {
  return attempted(() => mend(readBy(make.plan, reader), eventsReadBy(events, reader))) ?? null;
}
