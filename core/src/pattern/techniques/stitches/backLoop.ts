import { CROSS } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { UP, through, into } from '../moves';

/** Under the one loop farthest from you; the other stays free and makes a ridge that stretches (handbook 14). */
export const backLoop: Technique = {
  id: 'back-loop',
  family: 'stitch',
  everyday: true,
  name: 'back loop only',
  stitch: 'single-back-loop',
  abbreviation: 'BLO {sc}',
  symbol: (x, y, w, h) =>
    `${CROSS(x, y, w, h)}M${x - 0.3 * w} ${y + 0.4 * h}Q${x} ${y + 0.6 * h} ${x + 0.3 * w} ${y + 0.4 * h}`,
  also: ['blo, tbl, through the back loop'],
  what: 'Under the one loop farthest from you; the other stays free and makes a ridge that stretches.',
  moves: [into('back-loop', 1, 'under the loop farthest from you', 'in back loop only'), UP, through(2)],
  looks: 'A free strand along the foot of each row, in ridges.',
  mistake: {
    text: 'One stitch under both loops shows as a break in the ridge.',
    repair: 'Tilt the top of the work towards you: the farther strand of the V is the one.',
  },
  words: ['BLO', 'back loop', 'back loops', 'back loops only', 'back loop only (BLO)'],
};
