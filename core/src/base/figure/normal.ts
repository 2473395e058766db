/**
 * The normal distribution's share below z, to 1e-7: the error function by Abramowitz and Stegun 7.1.26.
 *
 * @param z in standard deviations from the mean
 * @returns 0 to 1
 */
export function phi(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const above = (poly * Math.exp(-x * x)) / 2;
  return z >= 0 ? 1 - above : above;
}
