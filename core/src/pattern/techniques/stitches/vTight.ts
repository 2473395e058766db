import { post } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** Two half-tall stitches in one gap: a closed, soft fabric (handbook 14). */
export const vTight: Technique = {
  id: 'v-tight',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'V stitch without a chain',
  stitch: 'half-double-v',
  symbol: (x, y, w, h) => `${post(0, -0.22)(x, y, w, h)}${post(0, 0.22)(x, y, w, h)}`,
  what: 'Two half-tall stitches in one gap: a closed, soft fabric.',
  moves: [
    OVER,
    into('gap', 1, 'between the two stitches of the next pair', 'between sts of next pair'),
    UP,
    through(3),
    OVER,
    into('gap', 1, 'in the same gap again', 'in same gap'),
    UP,
    through(3),
  ],
  looks: 'Pairs over pairs, with a small dimple between.',
  mistake: {
    text: 'Worked into a stitch instead of between two, the pairs drift.',
    repair: 'The hook goes into the gap inside the pair, under no loop.',
  },
  words: ['{half-double-v}'],
};
