import type { KeptEvent } from './events';

/**
 * The events of one make, each once, in the order that decides between such as exclude each other: by `n`, then by the
 * server's sequence (what it has not taken in comes after what it has), then by id. No clock is compared: two devices'
 * clocks differ.
 */
export function inOrder(events: readonly KeptEvent[]): KeptEvent[] {
  const known = new Map<string, KeptEvent>();
  for (const event of events) {
    const before = known.get(event.id);
    if (!before || before.seq === undefined) known.set(event.id, event);
  }
  return [...known.values()].sort(compare);
}

function compare(a: KeptEvent, b: KeptEvent): number {
  const byCount = (a.n ?? 0) - (b.n ?? 0);
  if (byCount !== 0) return byCount;
  const [first, second] = [a.seq ?? Infinity, b.seq ?? Infinity];
  if (first !== second) return first < second ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}

/** The `n` of what happens next. */
export function nextCount(events: readonly KeptEvent[]): number {
  return 1 + events.reduce((most, { n = 0 }) => Math.max(most, n), 0);
}

/** Whether a make is finished and was not reopened since. */
export function isFinished(events: readonly KeptEvent[]): boolean {
  const endings = events.filter(({ kind }) => kind === 'finished' || kind === 'reopened');
  // asked of every make there is: most have none, or one
  if (endings.length < 2) return endings[0]?.kind === 'finished';
  return inOrder(endings).at(-1)?.kind === 'finished';
}
