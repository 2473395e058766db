import { CROSS } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { UP, through, into } from '../moves';

/** Under the one loop nearest to you; the other stays free behind (handbook 14). */
export const frontLoop: Technique = {
  id: 'front-loop',
  family: 'stitch',
  name: 'front loop only',
  abbreviation: 'FLO',
  symbol: (x, y, w, h) =>
    `${CROSS(x, y, w, h)}M${x - 0.3 * w} ${y + 0.6 * h}Q${x} ${y + 0.4 * h} ${x + 0.3 * w} ${y + 0.6 * h}`,
  what: 'Under the one loop nearest to you; the other stays free behind.',
  moves: [into('front-loop', 1, 'under the loop nearest to you', 'in front loop only'), UP, through(2)],
  looks: 'A free strand behind, and stitches that tip forward.',
  mistake: {
    text: 'Taken for both loops, the ridge is missing.',
    repair: 'Only one strand lies over the hook before you draw up the loop.',
  },
  words: ['front loop', 'front loops'],
};
