import { OVAL } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { UP, through, into } from '../moves';

/** A chain over a place left out: a hole to thread a cord through (handbook 14). */
export const eyelet: Technique = {
  id: 'eyelet',
  family: 'stitch',
  everyday: true,
  name: 'eyelet hole',
  stitch: 'eyelet',
  symbol: (x, y, w, h) => OVAL(x, y, w, 1.4 * h),
  what: 'A chain over a place left out: a hole to thread a cord through.',
  moves: [
    through(1),
    into('stitch', 2, 'in the second stitch along, leaving one out', 'in 2nd st along'),
    UP,
    through(2),
  ],
  looks: 'A hole as wide as a stitch, with a chain over it.',
  mistake: {
    text: 'No place is left out, and the round grows by one with each hole.',
    repair: 'Chain 1, leave out 1: the count stays.',
  },
  words: ['eyelet', 'eyelets', 'holes', 'hole'],
};
