import type { MakeEvent } from './events';

export interface MakeState {
  /** Steps done. */
  done: number;
  /** The tick that an undo takes back, if there is one. */
  lastTick: string | null;
  notes: { id: string; text: string; step: number; at: string }[];
  finished: boolean;
  lastAt: string | null;
}

/**
 * The state of a make: the sum of its events (handbook 8). The same set of events in any order, or with some twice,
 * gives the same state: ticks count once by id, an undo takes back the tick it names and no other.
 *
 * @param steps how many steps the plan has; more ticks than steps are kept but not counted
 */
export function foldMake(events: readonly MakeEvent[], steps: number): MakeState {
  const ordered = [...new Map(events.map((event) => [event.id, event])).values()].sort(byTime);
  const undone = new Set(ordered.flatMap((event) => (event.kind === 'undone' ? [event.undoes] : [])));
  const ticks = ordered.filter((event) => event.kind === 'ticked' && !undone.has(event.id));
  const endings = ordered.filter((event) => event.kind === 'finished' || event.kind === 'reopened');
  return {
    done: Math.min(ticks.length, steps),
    lastTick: ticks.at(-1)?.id ?? null,
    notes: ordered.flatMap((e) => (e.kind === 'noted' ? [{ id: e.id, text: e.text, step: e.step, at: e.at }] : [])),
    finished: endings.at(-1)?.kind === 'finished',
    lastAt: ordered.at(-1)?.at ?? null,
  };
}

function byTime(a: MakeEvent, b: MakeEvent): number {
  return a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1;
}
