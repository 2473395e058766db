import { HEIGHT_SPREAD, WIDTH_SPREAD, type Hand } from './estimate';
import { workFabric } from './fabric';
import { isWithin, LIKELY, MAY_SAY, within } from './plausible';
import { stitchDefinition } from './stitches';
import type { FabricSpec } from './types';

/** How much one make differs from the next of the same hand, as a fraction, and what that is worth in makes (prior, ours; handbook 2.1). */
const BETWEEN_MAKES = 0.05;
const BETWEEN_MAKES_WEIGHT = 10;

/** Makes of one hand never differ by less, as a fraction (prior, ours). */
const LEAST_BETWEEN = 0.025;

/**
 * What was measured is asked for by itself: weighed against an estimate it would be drawn towards it here, and once more by how few
 * the makes are.
 */
const NOTHING_BELIEVED: Hand = { width: 1, height: 1, spread: 50, spreadHeight: 50, makes: 0 };

function withoutHand({ hand: _hand, ...fabric }: FabricSpec): FabricSpec {
  return fabric;
}

/**
 * The maker's own hand: the mean ratio of measured to estimated sizes over fabrics that were measured, and how surely it
 * is known; undefined where nothing was (handbook 2.1 and 10).
 *
 * @param fabrics swatches and makes in yarn of one category, or nearly
 */
export function handFrom(fabrics: readonly FabricSpec[]): Hand | undefined {
  const measured = fabrics.filter(
    ({ stitch, gauge }) =>
      // a pattern of the maker's own has no estimate to be held against
      !stitchDefinition(stitch)?.wantsSwatch &&
      (gauge?.stitches?.length ?? 0) + (gauge?.roundStitches?.length ?? 0) > 0,
  );
  if (measured.length === 0) return undefined;
  const shown = measured.map((fabric) => {
    const { stitchWidth, rowHeight, estimate } = workFabric({ ...withoutHand(fabric), hand: NOTHING_BELIEVED });
    return {
      width: stitchWidth.value / estimate.stitchWidth.value,
      height: rowHeight.value / estimate.rowHeight.value,
    };
  });
  const ratios = shown.filter((one) => isWithin(one.width, LIKELY.hand) && isWithin(one.height, LIKELY.hand));
  if (ratios.length === 0) return undefined;
  const width = shrunk(
    ratios.map((ratio) => ratio.width),
    WIDTH_SPREAD,
    BETWEEN_MAKES,
  );
  const height = shrunk(
    ratios.map((ratio) => ratio.height),
    HEIGHT_SPREAD,
    BETWEEN_MAKES,
  );
  return {
    width: within(width.ratio, MAY_SAY.hand),
    height: within(height.ratio, MAY_SAY.hand),
    spread: within(width.spread, MAY_SAY.handSpread),
    spreadHeight: within(height.spread, MAY_SAY.handSpread),
    makes: ratios.length,
  };
}

/**
 * A hand's ratio from those of its makes: the mean logarithm, shrunk towards the unknown hand by how few they are; what the
 * next make may differ by is never less than makes differ among themselves (law of the normal with a normal prior; handbook
 * 2.1).
 *
 * @param unknown how far an unknown hand may differ, as a fraction
 * @param usual how much one make usually differs from the next, as a fraction
 */
export function shrunk(ratios: readonly number[], unknown: number, usual: number): { ratio: number; spread: number } {
  const logs = ratios.map(Math.log);
  const n = logs.length;
  const mean = logs.reduce((sum, one) => sum + one, 0) / n;
  const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0);
  const between = Math.max(
    LEAST_BETWEEN ** 2,
    (BETWEEN_MAKES_WEIGHT * usual ** 2 + squares) / (BETWEEN_MAKES_WEIGHT + n - 1),
  );
  // makes that differ more than hands do tell nothing of the hand
  const before = Math.max(1e-6, unknown ** 2 - between);
  const variance = 1 / (1 / before + n / between);
  return { ratio: Math.exp((variance * n * mean) / between), spread: Math.sqrt(variance + between) };
}
