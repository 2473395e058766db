import type { YarnRun } from '../fabric';

/**
 * Runs in stitches, each as long as its own yarn makes (law: run / yarn per stitch, handbook 7).
 *
 * @param perStitch yarn in one stitch, mm
 */
export const inStitches = (runs: readonly YarnRun[], perStitch: number): number[] =>
  runs.map((run) => ('stitches' in run ? run.stitches : run.mm / perStitch));

/** All runs together, stitches: worked out, never trusted to be added by hand (handbook 7). */
export const sumOf = (lengths: readonly number[]): number => lengths.reduce((sum, length) => sum + length, 0);

/** Where each run begins in the repeat, and the whole at the end. */
export function startsOf(lengths: readonly number[]): number[] {
  const starts = [0];
  for (const length of lengths) starts.push(starts.at(-1)! + length);
  return starts;
}

/** Which run lies at a place of the yarn, stitches from its beginning; the yarn goes on for ever both ways. */
export function runAt(starts: readonly number[], place: number): number {
  const whole = starts.at(-1)!;
  const at = ((place % whole) + whole) % whole;
  // runs are few: looking through them is quicker than halving
  let run = 0;
  while (run < starts.length - 2 && at >= starts[run + 1]!) run += 1;
  return run;
}
