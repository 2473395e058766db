import type { KeptEvent } from './events';
import { groupBy } from './group';
import { inOrder, isFinished } from './order';
import { lastDecision, stepsTicked, type Tick } from './ticks';
import type { StepPlace } from './types';

export interface MakeState {
  /** Ids of the steps that are done, in the order of the plan. */
  done: string[];
  /** The step ticked last, and the events that an undo takes back; nothing where nothing is done. */
  last: { step: string; ticks: string[] } | null;
  /** Steps that several devices ticked, none knowing of the other: each was worked once, or the work is further on. */
  twice: string[];
  /** The last decision that stands, by its event's id. */
  decided: string | null;
  /** The events that an undo takes back: the last decision where nothing was ticked since, else the last ticks; none where nothing is done. */
  undoes: string[];
  /** `step` is a step's id. */
  notes: { id: string; text: string; step: string | null; at: string }[];
  finished: boolean;
  paused: boolean;
  /** The latest time any device noted. */
  lastAt: string | null;
}

/**
 * The state of a make: the sum of its events (handbook 8). The same set of events in any order, or with some twice,
 * gives the same state. A tick names its step, so that two devices that tick one row have worked one row; an undo takes
 * back what it names and nothing else.
 *
 * @param steps the plan's steps, in order; ticks of other steps are kept and not counted
 */
export function foldMake(events: readonly KeptEvent[], steps: readonly StepPlace[]): MakeState {
  const ordered = inOrder(events);
  const ticks = stepsTicked(ordered, steps);
  const byStep = groupBy(ticks, ({ step }) => step);
  const last = ticks.filter(({ implied }) => !implied).at(-1);
  const decision = lastDecision(ordered);
  const pauses = ordered.filter(({ kind }) => kind === 'paused' || kind === 'resumed');
  return {
    done: steps.flatMap(({ id }) => (byStep.has(id) ? id : [])),
    last: last ? { step: last.step, ticks: byStep.get(last.step)!.map(({ by }) => by.id) } : null,
    twice: steps.flatMap(({ id }) => (byMany(byStep.get(id) ?? []) ? id : [])),
    decided: decision?.id ?? null,
    undoes: undoable(ordered, last, decision, byStep),
    notes: ordered.flatMap((event) =>
      event.kind === 'noted'
        ? [{ id: event.id, text: event.text, step: stepNoted(event.step, steps), at: event.at }]
        : [],
    ),
    finished: isFinished(events),
    paused: pauses.at(-1)?.kind === 'paused',
    lastAt: ordered.reduce<string | null>((latest, { at }) => (latest === null || at > latest ? at : latest), null),
  };
}

function undoable(
  ordered: readonly KeptEvent[],
  last: Tick | undefined,
  decision: KeptEvent | undefined,
  byStep: ReadonlyMap<string, readonly Tick[]>,
): string[] {
  const at = (event: KeptEvent | undefined) => (event ? ordered.indexOf(event) : -1);
  if (decision && at(decision) > at(last?.by)) return [decision.id];
  return last ? byStep.get(last.step)!.map(({ by }) => by.id) : [];
}

function byMany(ticks: readonly Tick[]): boolean {
  return (
    new Set(ticks.filter(({ by }) => by.kind === 'ticked' && by.step !== undefined).map(({ by }) => by.device)).size > 1
  );
}

/** Earlier versions noted how many steps were done: that is the last of them. */
function stepNoted(step: string | number, steps: readonly StepPlace[]): string | null {
  if (typeof step === 'string') return step;
  return steps[Math.min(step, steps.length) - 1]?.id ?? null;
}
