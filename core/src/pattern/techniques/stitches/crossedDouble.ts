import { post } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** A pair worked in the wrong order: first the second place, then the one left out (handbook 14). */
export const crossedDouble: Technique = {
  id: 'crossed-double',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'crossed {double}',
  stitch: 'crossed-double',
  abbreviation: 'crossed {dc}',
  symbol: (x, y, w, h) => `${post(1, 0.22)(x, y, w, h)}${post(1, -0.22)(x, y, w, h)}`,
  what: 'A pair worked in the wrong order: first the second place, then the one left out.',
  moves: [
    OVER,
    into('stitch', 2, 'in the second stitch along, leaving one out', 'in 2nd st along'),
    UP,
    through(2),
    through(2),
    OVER,
    into('stitch', 1, 'in the one left out, reaching back in front of the first', 'in st left out, in front of first'),
    UP,
    through(2),
    through(2),
  ],
  looks: 'Two posts that cross in the middle, the second in front.',
  mistake: {
    text: 'Reached behind in one pair and in front in the next, they do not match.',
    repair:
      'Always pass on the same side. In joined rounds the counting chain and a stitch behind it make the first pair.',
  },
  words: ['{crossed-double}', 'crossed'],
};
