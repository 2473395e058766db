import { differenceEuclidean, formatHex, modeLab, modeRgb, useMode as mode } from 'culori/fn';

mode(modeRgb);
const lab = mode(modeLab);
const apart = differenceEuclidean('lab');

type Lab = NonNullable<ReturnType<typeof lab>>;

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/**
 * The colour nearest to the median of some pixels, as the eye tells colours apart: one that is among them, and no mixture.
 *
 * @param data red, green, blue and opacity of each, 0 to 255
 * @returns #rrggbb
 */
export function medianColour(data: Uint8ClampedArray): string {
  const seen = Array.from({ length: data.length / 4 }, (_, pixel): Lab => {
    const [r, g, b] = [0, 1, 2].map((channel) => data[4 * pixel + channel]! / 255) as [number, number, number];
    return lab({ mode: 'rgb', r, g, b });
  });
  const median: Lab = {
    mode: 'lab',
    l: middle(seen.map(({ l }) => l)),
    a: middle(seen.map(({ a }) => a)),
    b: middle(seen.map(({ b }) => b)),
  };
  const nearest = seen.reduce((best, one) => (apart(one, median) < apart(best, median) ? one : best));
  return formatHex(nearest);
}
