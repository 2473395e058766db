/** A make as it was said to fit, 0 to 1, and whether it did. */
export interface Kept {
  said: number;
  fitted: boolean;
}

/** Of makes said to fit about so often, how many did, and between which shares the truth lies 95 times in 100. */
export interface Honesty {
  from: number;
  to: number;
  makes: number;
  fitted: number;
  least: number;
  most: number;
}

/** Chances that are told apart (handbook 10 names the middle one). */
const SPANS = [
  [0, 0.4],
  [0.4, 0.7],
  [0.7, 0.9],
  [0.9, 1],
] as const;

/** Nothing is claimed of fewer (handbook 10). */
const LEAST_MAKES = 5;

/**
 * How honest the chances were: of the makes said to fit so many times in a hundred, so many did, with the binomial interval
 * (Wilson's, law; handbook 10). Nothing is said of fewer than five.
 */
export function honestyOf(makes: readonly Kept[]): Honesty[] {
  return SPANS.flatMap(([from, to]) => {
    const of = makes.filter(({ said }) => said >= from && (said < to || to === 1));
    if (of.length < LEAST_MAKES) return [];
    const fitted = of.filter((one) => one.fitted).length;
    return [{ from, to, makes: of.length, fitted, ...interval(fitted, of.length) }];
  });
}

const Z = 1.96;

function interval(hits: number, of: number): { least: number; most: number } {
  const p = hits / of;
  const scale = 1 + Z ** 2 / of;
  const middle = (p + Z ** 2 / (2 * of)) / scale;
  const half = (Z / scale) * Math.sqrt((p * (1 - p)) / of + Z ** 2 / (4 * of ** 2));
  return { least: Math.max(0, middle - half), most: Math.min(1, middle + half) };
}
