import { OVAL, post } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** Two tall stitches in one place with a chain between them (handbook 14). */
export const vOpen: Technique = {
  id: 'v-open',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'V stitch with a chain',
  stitch: 'double-v',
  abbreviation: 'V-st',
  symbol: (x, y, w, h) => `${post(1, -0.22)(x, y, w, h)}${OVAL(x, y, w, h)}${post(1, 0.22)(x, y, w, h)}`,
  what: 'Two tall stitches in one place with a chain between them.',
  moves: [
    OVER,
    into('space', 1, 'in the next space', 'in next sp'),
    UP,
    through(2),
    through(2),
    through(1, { full: 'the chain between', short: 'ch 1' }),
    OVER,
    into('space', 1, 'in the same space again', 'in same sp'),
    UP,
    through(2),
    through(2),
  ],
  looks: 'A clear V with a hole in its middle; the next row goes into that hole.',
  mistake: {
    text: 'Worked between two Vs instead of into one, the holes move aside.',
    repair: 'The hook goes under the chain in the middle of the V.',
  },
  words: ['V stitch', 'V stitches', '{double-v}', 'V', 'Vs'],
};
