import { derive, valuesOf, type Figure } from '../../base/figure';
import type { Sample } from '../../craft/fit';

/** A size with its workings, and the same formula to be sampled for the chance of fit. */
export interface Sized {
  figure: Figure<'mm'>;
  of: (sample: Sample) => number;
  /** What is uncertain in it besides the six letters of a sample. */
  also: Readonly<Record<string, Figure>>;
}

/** Terms that are always sampled; of the others those that carry a spread, whole counts and choices stay. */
const SAMPLED: readonly string[] = ['g', 'H', 'D', 'w', 'h', 't'];

/**
 * A size of the finished piece by a formula in the handbook's letters: as a figure, and as a function of a sample. One
 * formula serves both, so that what is shown and what chance is reckoned from cannot part.
 */
export function sized<T extends Record<string, Figure>>(
  formula: string,
  terms: T,
  of: (values: { [K in keyof T]: number }) => number,
): Sized {
  const also: Record<string, Figure> = {};
  for (const name in terms) if (terms[name]!.sd && !SAMPLED.includes(name)) also[name] = terms[name]!;
  const sampled = [...SAMPLED.filter((name) => name in terms), ...Object.keys(also)] as (keyof T & string)[];
  let values: { [K in keyof T]: number } | undefined;
  return {
    figure: derive('mm', formula, terms, of),
    of: (sample) => {
      values ??= valuesOf(terms);
      for (let at = 0; at < sampled.length; at += 1) values[sampled[at]!] = sample[sampled[at]!] as number;
      return of(values);
    },
    also,
  };
}

/** What all of a model's formulas are uncertain of besides the six letters. */
export const alsoOf = (...all: readonly (Sized | undefined)[]): Record<string, Figure> =>
  Object.assign({}, ...all.map((one) => one?.also)) as Record<string, Figure>;

/** `πt` for each pocket side by side, as a formula says it. */
export function fabricRound(pockets: number): string {
  return pockets === 0 ? '' : ` − ${pockets === 1 ? '' : `${pockets} `}πt`;
}

/** The inside girth of two flat faces `F` wide between their seams: `2F − πt`, for each pocket beside another (law, handbook 3). */
export function insideFaces(face: Sized, t: Figure<'mm'>, pockets: number): Sized {
  return {
    figure: derive(
      'mm',
      `inside = 2F${fabricRound(pockets)}`,
      { F: face.figure, t },
      (v) => 2 * v.F - pockets * Math.PI * v.t,
    ),
    of: (sample) => 2 * face.of(sample) - pockets * Math.PI * sample.t,
    also: face.also,
  };
}
