import { nearestRest, TURN_TAKES, type Turning } from './effect';
import { startsOf, sumOf } from './runs';

/** Where a round ended: so many stitches into a run of the yarn. */
export interface Landing {
  /** The round or row, from 1. */
  course: number;
  /** Which run, from 0, and how many of its stitches were worked. */
  run: number;
  stitches: number;
}

/** What landings say of the hand. */
export interface Landed {
  /** How many stitches further along the yarn is than it was reckoned to be; less than nothing where it is behind. */
  ahead: number;
  advice: 'on-track' | 'tighten' | 'loosen' | 'take-back';
  /** The last course that was on its place, where it is to be taken back to. */
  backTo: number | null;
  /** The runs as this hand works them, stitches. */
  lengths: number[];
}

/** Nearer than this nothing is seen of it, stitches. */
const NOT_SEEN = 1;
/** A hand that means to takes so much more or less yarn, as a share (prior, ours). */
const CAN_CHANGE = 0.02;
/** After so many courses of working tighter or looser it is to be right again (ours). */
const WITHIN = 6;

/**
 * What it says of the hand where rounds ended in the yarn: how far that is from where they were reckoned to end, what to do of
 * it, and how long the runs are in this hand’s stitches (law of proportion; limits priors of ours; handbook 7).
 *
 * @param counts stitches of every course
 * @param lengths of the runs as they were given, stitches
 * @param landings in the order of their courses
 */
export function landedOf(
  counts: readonly number[],
  lengths: readonly number[],
  turning: Turning,
  landings: readonly Landing[],
): Landed | null {
  const last = landings.at(-1);
  if (!last) return null;
  const starts = startsOf(lengths);
  const sum = sumOf(lengths);
  const taken = (course: number) =>
    counts.slice(0, course).reduce((all, count) => all + count + TURN_TAKES[turning], 0);
  let ahead = 0;
  let backTo = 0;
  for (const { course, run, stitches } of landings) {
    // by as little as can be from how far it was the last time
    ahead += nearestRest(starts[run]! + stitches - taken(course) - ahead, sum);
    if (Math.abs(ahead) < NOT_SEEN) backTo = course;
  }
  const round = taken(last.course) / Math.max(1, last.course);
  const used = (taken(last.course) + ahead) / Math.max(1, taken(last.course));
  const advice = adviceOf(ahead, CAN_CHANGE * WITHIN * round);
  return {
    ahead,
    advice,
    backTo: advice === 'take-back' ? backTo : null,
    lengths: lengths.map((length) => length / used),
  };
}

function adviceOf(ahead: number, most: number): Landed['advice'] {
  if (Math.abs(ahead) < NOT_SEEN) return 'on-track';
  if (Math.abs(ahead) > most) return 'take-back';
  // further along the yarn is more yarn a stitch: a looser hand than was reckoned with
  return ahead > 0 ? 'tighten' : 'loosen';
}
