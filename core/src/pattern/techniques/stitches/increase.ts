import { line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, UP, through, into } from '../moves';

/** Two stitches in one place, so that the row has one more (handbook 14). */
export const increase: Technique = {
  id: 'increase',
  family: 'stitch',
  everyday: true,
  name: 'increase',
  abbreviation: 'inc',
  symbol: (x, y, w, h) =>
    `${move(x, y + 0.4 * h)}${line(x - 0.3 * w, y - 0.3 * h)}${move(x, y + 0.4 * h)}${line(x + 0.3 * w, y - 0.3 * h)}`,
  what: 'Two stitches in one place, so that the row has one more.',
  moves: [NEXT, UP, through(2), into('stitch', 0, 'in the same place again', 'in same place'), UP, through(2)],
  looks: 'Two Vs on one foot.',
  mistake: {
    text: 'The next stitch goes into that same place once more.',
    repair: 'Two Vs stand on one foot, never three. Pull the third out.',
  },
  words: ['increases', 'increase in'],
};
