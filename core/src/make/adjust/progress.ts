import type { MakeState, MakingStep } from '../log';
import type { Piece } from '../../piece';
import { rowMinutes } from '../../reckon/supplies';
import type { Worked } from '../../reckon/types';

/** How far the pieces of a plan are made, and what that is of the whole. */
export interface Standing {
  /** Courses done of each piece that was begun, by its id. */
  courses: ReadonlyMap<string, number>;
  /** Steps besides courses that are done. */
  others: readonly MakingStep[];
}

/** Where a make stands: a piece that is begun has its foundation at the least. */
export function standingOf(steps: readonly MakingStep[], { done }: Pick<MakeState, 'done'>): Standing {
  const isDone = new Set(done);
  const courses = new Map<string, number>();
  const others: MakingStep[] = [];
  for (const step of steps.filter(({ id }) => isDone.has(id))) {
    if (step.row === null && step.kind !== 'foundation') others.push(step);
    else courses.set(step.piece, Math.max(courses.get(step.piece) ?? 0, step.row ?? 0));
  }
  return { courses, others };
}

/** How many courses two pieces have alike from their beginning; -1 where they do not begin alike. */
export function alikeUpTo(one: Piece, other: Piece | undefined): number {
  if (!other) return -1;
  const start = ({ foundation: { kind, count } }: Piece) => `${kind} ${count}`;
  if (start(one) !== start(other)) return -1;
  const same = (index: number) =>
    JSON.stringify(one.courses[index]!.instructions) === JSON.stringify(other.courses[index]!.instructions);
  const most = Math.min(one.courses.length, other.courses.length);
  for (let index = 0; index < most; index += 1) if (!same(index)) return index;
  return most;
}

/** Stitches in the first so many courses of pieces, by the counts their steps end on. */
export function stitchesIn(steps: readonly MakingStep[], courses: ReadonlyMap<string, number>): number {
  return steps.reduce((sum, { piece, row, ends }) => {
    const upTo = courses.get(piece);
    return row === null || upTo === undefined || row > upTo ? sum : sum + (ends ?? 0);
  }, 0);
}

/** Minutes that the first so many courses of pieces take, at a pace so much slower than usual. */
export function minutesIn(steps: readonly MakingStep[], courses: ReadonlyMap<string, number>, slower: number): number {
  return steps.reduce((sum, { piece, row, work }) => {
    const upTo = courses.get(piece);
    return !work || row === null || upTo === undefined || row > upTo ? sum : sum + slower * rowMinutes(work);
  }, 0);
}

/** What is left of a plan's minutes and metres when so much of it is worked. */
export function leftOf(
  { supplies }: Pick<Worked, 'supplies'>,
  worked: { minutes: number; stitches: number },
): { minutes: number; metres: number } {
  const share = 1 - Math.min(1, worked.stitches / Math.max(1, supplies.stitches));
  return {
    minutes: Math.max(0, supplies.time.value - worked.minutes),
    metres: share * supplies.yarn.metres.value,
  };
}
