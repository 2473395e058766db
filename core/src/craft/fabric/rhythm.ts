/** So many stitches into each of so many places that follow one another; none is a skip. */
export interface Beat {
  each: number;
  places: number;
}

/** How stitches are shared out along places: parts one after the other, of which one may be done over and over. */
export type Rhythm =
  | { parts: readonly (Beat | { again: readonly Beat[]; times: number })[] }
  /** `each` into every place but for those listed, counted from 1, which get `others`. */
  | { each: number; others: number; at: readonly number[]; places: number };

/** The same from its other end: both sides of a pair so have it at the same places. */
export function mirroredRhythm(rhythm: Rhythm): Rhythm {
  if ('at' in rhythm) return { ...rhythm, at: rhythm.at.map((at) => rhythm.places + 1 - at).reverse() };
  const turned = rhythm.parts.map((part) => ('again' in part ? { ...part, again: [...part.again].reverse() } : part));
  return { parts: turned.reverse() };
}

/** How many stitches a rhythm puts into each of its places, one after the other. */
export function beatsOf(rhythm: Rhythm): number[] {
  if ('at' in rhythm)
    return Array.from({ length: rhythm.places }, (_, index) =>
      rhythm.at.includes(index + 1) ? rhythm.others : rhythm.each,
    );
  return rhythm.parts.flatMap((part) =>
    'again' in part ? Array.from({ length: part.times }, () => part.again.flatMap(spread)).flat() : spread(part),
  );
}

const spread = ({ each, places }: Beat): number[] => Array.from({ length: places }, () => each);
