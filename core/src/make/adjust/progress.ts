import type { MakeState, MakingStep } from '../log';
import { nth, type Piece } from '../../piece';

/** How far the pieces of a plan are made, and what that is of the whole. */
export interface Standing {
  /** Courses done of each piece that was begun, by its id; of one made twice those of the one that is farther. */
  courses: ReadonlyMap<string, number>;
  /** The same of every copy by itself. */
  each: ReadonlyMap<string, number>;
  /** Steps besides courses that are done. */
  others: readonly MakingStep[];
}

/** A piece by its id, and a copy of it by its own. */
export const copyOf = ({ piece, copy }: Pick<MakingStep, 'piece' | 'copy'>): string => nth(piece, copy ?? 1);

/** Where a make stands: a piece that is begun has its foundation at the least. */
export function standingOf(steps: readonly MakingStep[], { done }: Pick<MakeState, 'done'>): Standing {
  const isDone = new Set(done);
  const courses = new Map<string, number>();
  const each = new Map<string, number>();
  const others: MakingStep[] = [];
  const reached = (of: Map<string, number>, name: string, row: number) =>
    of.set(name, Math.max(of.get(name) ?? 0, row));
  for (const step of steps.filter(({ id }) => isDone.has(id))) {
    if (step.row === null && step.kind !== 'foundation') others.push(step);
    else {
      reached(courses, step.piece, step.row ?? 0);
      reached(each, copyOf(step), step.row ?? 0);
    }
  }
  return { courses, each, others };
}

/** Whether a step is a course of what is worked so far, or its foundation. */
export function isWorked({ row, kind, ...step }: MakingStep, each: ReadonlyMap<string, number>): boolean {
  const upTo = each.get(copyOf(step));
  if (upTo === undefined || (row === null && kind !== 'foundation')) return false;
  return row === null || row <= upTo;
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
