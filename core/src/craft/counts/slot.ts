import { derive, prior, type Figure } from '../../base/figure';

/** A button's thickness where it is not typed, mm (prior, ours). */
export const BUTTON_THICKNESS_MM = 4;

/**
 * A slot in the fabric: `(diameter + thickness) / (1 + sx)` at the least, in whole chains; as many stitches are skipped
 * (law, handbook 6).
 *
 * @param diameter and `thickness` of the button, mm
 * @param stretch of the fabric across, as a fraction
 * @param wc a chain, mm
 */
export function slotChains(
  diameter: Figure<'mm'>,
  thickness: Figure<'mm'>,
  stretch: number,
  wc: Figure<'mm'>,
): Figure<'chains'> {
  const s = prior(stretch, '1', 0, 'stretch across');
  return derive(
    'chains',
    'chains = (diameter + thickness) / (1 + s) / wc, rounded up',
    { diameter, thickness, s, wc },
    (v) => Math.ceil((v.diameter + v.thickness) / (1 + v.s) / v.wc - 1e-9),
  );
}
