import type { KeptEvent } from './events';
import { inOrder } from './order';
import { standingEvents } from './ticks';

/**
 * What a make has used of its yarn by now: what its finish says, else what its weighings differ by.
 *
 * @param events of one make, in any order
 * @returns g; 0 where nothing tells
 */
export function usedGrams(events: readonly KeptEvent[]): number {
  const ordered = standingEvents(inOrder(events));
  const ending = ordered.filter(({ kind }) => kind === 'finished' || kind === 'reopened').at(-1);
  if (ending?.kind === 'finished' && ending.grams !== undefined) return ending.grams;
  const weighed = ordered.filter((event) => event.kind === 'weighed');
  // of several yarns each by its own weighings
  return [...new Set(weighed.map(({ colour }) => colour))].reduce((sum, one) => {
    const of = weighed.filter(({ colour }) => colour === one);
    return sum + Math.max(0, of[0]!.grams - of.at(-1)!.grams);
  }, 0);
}
