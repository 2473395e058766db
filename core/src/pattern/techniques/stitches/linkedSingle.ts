import { CROSS, line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, UP, through, into } from '../moves';

/** Each stitch shares a place with the one before it: a dense fabric with little stretch (handbook 14). */
export const linkedSingle: Technique = {
  id: 'linked-single',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'linked {single}',
  stitch: 'linked-single',
  abbreviation: 'linked {sc}',
  symbol: (x, y, w, h) => `${CROSS(x, y, w, h)}${move(x - 0.45 * w, y + 0.35 * h)}${line(x, y + 0.35 * h)}`,
  also: ['paired'],
  what: 'Each stitch shares a place with the one before it: a dense fabric with little stretch.',
  moves: [
    into(
      'stitch',
      0,
      'where the last stitch ended; at the beginning of a row in its first stitch or chain',
      'in same place as last st (at beg of row, in first st)',
    ),
    UP,
    NEXT,
    UP,
    through(3),
  ],
  looks: 'Slanting pairs with no gap between them.',
  mistake: {
    text: 'The first or the last stitch is left out, and the edge runs to a slant.',
    repair:
      'Begin in the first stitch, then each time where the last one ended, and end the row with a plain {single} in the last.',
  },
  words: ['linked'],
};
