import { normals, seeded } from '../fit';
import { TENSION_SD, TURN_TAKES, type Turning } from './effect';
import { runAt, startsOf } from './runs';

interface GridAsk {
  /** Stitches of each course, the first first. */
  counts: readonly number[];
  /** Of the runs, stitches. */
  lengths: readonly number[];
  turning: Turning;
  left: boolean;
  seed: number;
  /** How far tension strays, as a share; nothing for the yarn as it was reckoned. */
  strays?: number;
  /** Where in the repeat the first stitch begins, stitches. */
  from?: number;
}

/**
 * Which run each stitch lies in, course by course from the first, as they are seen from the right side: the first of a
 * line is the one at the left (law: the yarn goes on from course to course; tension strays by 1 % a course, handbook 7).
 */
export function repeatGrid({
  counts,
  lengths,
  turning,
  left,
  seed,
  strays = TENSION_SD,
  from = 0,
}: GridAsk): number[][] {
  const starts = startsOf(lengths);
  const z = normals(Math.max(1, counts.length), seeded(seed));
  let place = from;
  return counts.map((count, course) => {
    const each = 1 + strays * z[course]!;
    // the middle of a stitch says which colour it is
    const worked = Array.from({ length: count }, (_, stitch) => runAt(starts, place + (stitch + 0.5) * each));
    place += (count + TURN_TAKES[turning]) * each;
    const returning = turning === 'rows' && course % 2 === 1;
    return returning === left ? worked.reverse() : worked;
  });
}
