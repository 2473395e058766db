import { stitchPattern } from '../../craft/fabric';
import type { FieldValues } from '../../base/units';

/** How the courses of a fabric are counted by eye. */
export interface RidgeAid {
  /** What is seen and counted. */
  sees: 'ridges' | 'rounds' | 'rows';
  /** Courses in one of them. */
  each: 1 | 2;
}

/**
 * How courses are counted on the work itself: two turned rows of single make a ridge, of anything taller each row shows, of
 * rounds each is a line of its own (handbook 8, counting ridges).
 *
 * @param stitch the stitch they are worked in, by its id, and what was set of it
 */
export function ridgeAid(stitch: string, worked: 'rows' | 'rounds', pattern?: FieldValues): RidgeAid {
  if (worked === 'rounds') return { sees: 'rounds', each: 1 };
  return stitchPattern(stitch, pattern).base === 'single' ? { sees: 'ridges', each: 2 } : { sees: 'rows', each: 1 };
}

/**
 * The courses that so many ridges come to. Turned rows end at either edge by turns: where the hook hangs at the edge that
 * the first row ended at, there is one more than the ridges have (law).
 *
 * @param seen whole ridges, rows or rounds that are counted
 * @param asRow1 whether the hook hangs at the edge where row 1 ended; of ridges alone asked
 */
export const coursesSeen = ({ each }: RidgeAid, seen: number, asRow1: boolean): number =>
  each === 1 ? seen : each * seen + (asRow1 ? 1 : 0);
