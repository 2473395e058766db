/** Farther from what is asked than this nothing is looked for. */
const FAR = 60;

/** Whether a piece of these counts begins with those that are worked. */
export const beginsAs = (counts: readonly number[], worked: readonly number[]): boolean =>
  worked.every((ends, index) => index >= counts.length || counts[index] === ends);

/**
 * The number nearest to what is asked under which a piece begins as it is worked; what is asked where none does, or nothing is
 * worked (handbook 8: the worked part fixed as it is).
 *
 * @param countsOf the stitches its first courses would end on
 * @param step from one number that is allowed to the next
 */
export function nearestAsWorked(
  asked: number,
  worked: readonly number[] | undefined,
  countsOf: (n: number) => readonly number[],
  least = 1,
  step = 1,
): number {
  if (!worked || worked.length === 0) return asked;
  for (let off = 0; off <= FAR; off += 1)
    for (const n of [asked - off * step, asked + off * step]) if (n >= least && beginsAs(countsOf(n), worked)) return n;
  return asked;
}
