import type { Hand } from './estimate';
import { workFabric, type FabricSpec } from './fabric';
import { stitchDefinition } from './stitches';

/** A hand judged from few makes may still differ by so much, as a fraction of one make's (prior, ours). */
const ONE_MAKE_SPREAD = 0.08;

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
  const ratios = measured.map((fabric) => {
    const { stitchWidth, rowHeight, estimate } = workFabric(withoutHand(fabric));
    return {
      width: stitchWidth.value / estimate.stitchWidth.value,
      height: rowHeight.value / estimate.rowHeight.value,
    };
  });
  const mean = (key: 'width' | 'height') => ratios.reduce((sum, ratio) => sum + ratio[key], 0) / ratios.length;
  const width = mean('width');
  const scatter = Math.sqrt(ratios.reduce((sum, ratio) => sum + (ratio.width - width) ** 2, 0) / ratios.length);
  return {
    width,
    height: mean('height'),
    spread: Math.max(scatter, ONE_MAKE_SPREAD / Math.sqrt(ratios.length)),
    makes: ratios.length,
  };
}
