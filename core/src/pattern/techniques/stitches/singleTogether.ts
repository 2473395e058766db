import { line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, UP, through, into } from '../moves';

/** A decrease: two stitches are begun and closed as one, so that the row has one less (handbook 14). */
export const singleTogether: Technique = {
  id: 'single-together',
  family: 'stitch',
  level: { is: 'intermediate', since: 'shaping' },
  name: '{single} 2 together',
  abbreviation: '{sc}2tog',
  symbol: (x, y, w, h) => `${move(x - 0.3 * w, y + 0.4 * h)}${line(x, y - 0.3 * h)}${line(x + 0.3 * w, y + 0.4 * h)}`,
  also: ['a decrease', 'US sc2tog is UK dc2tog'],
  what: 'A decrease: two stitches are begun and closed as one, so that the row has one less.',
  moves: [NEXT, UP, into('stitch', 2, 'in the stitch after it', 'in st after it'), UP, through(3)],
  looks: 'Two legs that meet under one V.',
  mistake: {
    text: 'The first leg is put where the stitch before it stands, which leaves the count as it was.',
    repair: 'Both legs go into stitches not yet worked. Count the row again.',
  },
  words: ['{single} 2 together', '{single} 3 together', 'decrease', 'decreases'],
};
