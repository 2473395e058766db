import type { Multiple } from '../fabric';

/** Something a count must obey. */
export interface CountCondition {
  id: string;
  /** As said to the maker: "a multiple of 3 plus 2". */
  text: string;
  allows: (count: number) => boolean;
}

/** The stitch's own: `repeat × k + edge`. */
export function multipleOf({ repeat, edge }: Multiple, whose = 'the stitch'): CountCondition {
  const plus = edge > 0 ? ` plus ${edge}` : '';
  return {
    id: 'multiple',
    text: repeat === 1 && edge === 0 ? `any number, for ${whose}` : `a multiple of ${repeat}${plus}, for ${whose}`,
    // one repeat at least: edges alone are not the stitch
    allows: (count) => count >= edge + repeat && (count - edge) % repeat === 0,
  };
}

/** A tube must halve flat. */
export const EVEN: CountCondition = {
  id: 'even',
  text: 'even, so that it halves flat',
  allows: (count) => count % 2 === 0,
};

/** A row with one stitch at its middle, or with two. */
export function centred(on: 'odd' | 'even'): CountCondition {
  return {
    id: `centred-${on}`,
    text: on === 'odd' ? 'odd, for one middle stitch' : 'even, for two middle stitches',
    allows: (count) => count % 2 === (on === 'odd' ? 1 : 0),
  };
}

/** No fewer than so many. @param what for, in words */
export function atLeast(least: number, what: string): CountCondition {
  return { id: 'at-least', text: `${least} or more ${what}`, allows: (count) => count >= least };
}

/** Odd where the other is odd, even where it is even: what is centred on one is centred on the other. */
export function parityOf(other: number): CountCondition {
  return {
    id: 'parity',
    text: `${other % 2 === 1 ? 'odd' : 'even'}, as the other piece’s ${other}`,
    allows: (count) => count % 2 === other % 2,
  };
}
