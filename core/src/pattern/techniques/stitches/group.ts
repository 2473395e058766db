import { post } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** Three tall stitches in one place with none between: rows of them lie between each other (handbook 14). */
export const group: Technique = {
  id: 'group',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: '3-{double} group',
  stitch: 'cluster',
  abbreviation: '3-{dc} group',
  symbol: (x, y, w, h) => `${post(1, -0.3)(x, y, w, h)}${post(1)(x, y, w, h)}${post(1, 0.3)(x, y, w, h)}`,
  what: 'Three tall stitches in one place with none between: rows of them lie between each other.',
  moves: [
    OVER,
    into('gap', 1, 'in the gap before the next group', 'in gap before next group'),
    UP,
    through(2),
    through(2),
    OVER,
    into('gap', 1, 'in the same gap', 'in same gap'),
    UP,
    through(2),
    through(2),
    OVER,
    into('gap', 1, 'in the same gap', 'in same gap'),
    UP,
    through(2),
    through(2),
  ],
  looks: 'Three posts on one foot, with a gap on each side for the groups of the next round.',
  mistake: {
    text: 'A gap is passed over, and the round is one group short.',
    repair: 'Count the groups along each side before you turn the corner.',
  },
  words: ['group', 'groups', 'group of 3', 'groups of 3'],
};
