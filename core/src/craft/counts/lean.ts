/** How far unturned rounds lean against the way they are worked, stitches a round (prior, ours; handbook 4.4: 0.4 ± 0.15). */
export const LEAN = 0.4;

/**
 * How many stitches on from the beginning of a round the place lies where round 1 began: what is not turned leans, joined rounds too, so
 * that their beginning wanders back against the way they are worked (prior, handbook 4.4: 0.4 ± 0.15 a round).
 *
 * @param rounds worked without turning, 0 or more
 */
export const leanAfter = (rounds: number): number => Math.round(LEAN * rounds);

/**
 * How many stitches on from the beginning of a round something is begun that must lie to the folds: where the nearer of both folds has
 * come to, as far as it can be moved without running over the beginning.
 *
 * @param lean how far the first fold lies on from the beginning, stitches
 * @param half stitches from fold to fold
 * @param back and `on` how far it may be moved either way
 */
export function shiftToFold(lean: number, half: number, back: number, on: number): number {
  const ahead = lean % half;
  const nearest = ahead <= half - ahead ? [ahead, ahead - half] : [ahead - half, ahead];
  const free = nearest.find((shift) => shift <= on && shift >= -back);
  return free ?? Math.max(-back, Math.min(on, nearest[0]!));
}
