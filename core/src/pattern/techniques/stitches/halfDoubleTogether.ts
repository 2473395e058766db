import { line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, OVER, UP, through, into } from '../moves';

/** A decrease of two half-tall stitches closed as one (handbook 14). */
export const halfDoubleTogether: Technique = {
  id: 'half-double-together',
  family: 'stitch',
  level: { is: 'intermediate', since: 'shaping' },
  name: '{half-double} 2 together',
  abbreviation: '{hdc}2tog',
  symbol: (x, y, w, h) =>
    `${move(x - 0.3 * w, y + 0.4 * h)}${line(x, y - 0.4 * h)}${line(x + 0.3 * w, y + 0.4 * h)}${move(x - 0.25 * w, y - 0.4 * h)}${line(x + 0.25 * w, y - 0.4 * h)}`,
  also: ['US hdc2tog is UK htr2tog'],
  what: 'A decrease of two half-tall stitches closed as one.',
  moves: [OVER, NEXT, UP, OVER, into('stitch', 2, 'in the stitch after it', 'in st after it'), UP, through(5)],
  looks: 'A wide, soft stitch with one V over two places.',
  mistake: {
    text: 'With five loops one is easily left behind on the hook.',
    repair: 'Turn the hook’s head down as you draw through, and count: one loop is left.',
  },
  words: ['{half-double} 2 together', '{half-double} 3 together'],
};
