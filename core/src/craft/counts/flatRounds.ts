import type { Advice } from '../../base/figure';
import { formatNumber } from '../../base/units';

/** Farther than this from the flat increase, a disc cups or ruffles to the eye (prior, handbook 4.1). */
export const FLAT_WITHIN = 0.08;

/** How flat a disc lies. */
type Flatness = 'flat' | 'cups' | 'ruffles';

/** Stitches more in each round of a flat disc: `i* = 2πh / w` (law, handbook 4.1). Both in mm. */
export function flatIncrease(h: number, w: number): number {
  return (2 * Math.PI * h) / w;
}

/** Too few stitches more in each round cup, too many ruffle (law, with the eye's 8 % a prior; handbook 4.1). */
export function flatness(increase: number, h: number, w: number): Flatness {
  const off = increase / flatIncrease(h, w) - 1;
  if (Math.abs(off) <= FLAT_WITHIN) return 'flat';
  return off < 0 ? 'cups' : 'ruffles';
}

/** What would lie flat: the nearest whole number, or where that does not another hook with it. */
function flatter(each: number, h: number, w: number): Pick<Advice, 'repair' | 'change'> {
  const nearest = Math.max(1, Math.round(flatIncrease(h, w)));
  const lies = flatness(nearest, h, w);
  if (lies === 'flat') return { repair: `Use ${nearest} per round.`, change: { 'shape.each': nearest } };
  const number = nearest === each ? 'No whole number lies nearer.' : `Use ${nearest} per round, which comes nearest.`;
  const hook = lies === 'cups' ? 'larger' : 'smaller';
  return { repair: `${number} Take a hook a size ${hook} for the base, or stretch it flat when it is wet.` };
}

export interface Growth {
  /** Stitches in the first round. */
  start: number;
  /** Stitches more in each further round. */
  each: number;
  /** Rounds that double before the even growth begins. */
  doublings: number;
}

/** Counts of the rounds of a disc: any start, any growth, doublings first where wanted (handbook 4.1). */
export function discCounts({ start, each, doublings }: Growth, rounds: number): number[] {
  const counts: number[] = [];
  for (let round = 1; round <= rounds; round += 1) {
    const before = counts.at(-1);
    if (before === undefined) counts.push(start);
    else counts.push(round <= doublings + 1 ? before * 2 : before + each);
  }
  return counts;
}

/** Farther apart than this, the disc's last count and the wall's are a matter of gauge or of a cupped base (handbook 4.1). */
const WALL_WITHIN = 0.15;

/**
 * The disc's rounds with the difference to the wall carried by the last one, and what there is to say of them: flatness,
 * and a difference too large to be rounding (handbook 4.1).
 *
 * @param wall stitches of the wall
 * @param h round height and `w` stitch width of the disc, mm
 */
export function discToWall(
  growth: Growth,
  rounds: number,
  wall: number,
  h: number,
  w: number,
): { counts: number[]; own: number; advice: Advice[] } {
  const counts = discCounts(growth, rounds);
  // a base grows no farther than the wall: what is left of its rounds is worked plain
  const own = Math.min(counts.at(-1)!, wall);
  const lies = flatness(growth.each, h, w);
  const advice: Advice[] = [];
  if (lies !== 'flat' && rounds > 2)
    advice.push({
      id: `base-${lies}`,
      severity: 'advice',
      text: `With ${growth.each} increases per round the base will ${lies === 'cups' ? 'cup' : 'ruffle'}. In your {gauge}, ${formatNumber(flatIncrease(h, w))} per round lies flat.`,
      ...flatter(growth.each, h, w),
      at: 'shape.each',
    });
  if (Math.abs(own / wall - 1) > WALL_WITHIN)
    advice.push({
      id: 'base-against-wall',
      severity: 'advice',
      text: `The base has ${own} stitches and the sides need ${wall}, so the last base round adds ${wall - own}. ${lies === 'flat' ? 'The stitch or the ease of the sides has another width than the base’s.' : `The base ${lies}.`}`,
      repair:
        lies === 'flat'
          ? 'Measure the base when it is done; add or leave out a round.'
          : flatter(growth.each, h, w).repair,
      at: 'shape.each',
    });
  // no round has more than the wall: the last one would shrink again
  return { counts: [...counts.slice(0, -1).map((count) => Math.min(count, wall)), wall], own, advice };
}
