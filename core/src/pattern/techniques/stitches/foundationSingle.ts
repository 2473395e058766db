import { CROSS, OVAL } from '../../../craft/fabric';
import { step, type Technique } from '../definition';
import { UP, through, into } from '../moves';

/** Chain and first row in one: an edge that gives as much as the fabric does (handbook 14). */
export const foundationSingle: Technique = {
  id: 'foundation-single',
  family: 'stitch',
  name: 'foundation {single}',
  abbreviation: 'f{sc}',
  symbol: (x, y, w, h) => `${CROSS(x, y - 0.15 * h, w, h)}${OVAL(x, y + 0.4 * h, w, 0.6 * h)}`,
  what: 'Chain and first row in one: an edge that gives as much as the fabric does.',
  steps: [step('Chain 2.', 'ch 2')],
  moves: [
    into('chain', 1, 'in the first chain made', 'in first ch'),
    UP,
    through(1, { full: 'the chain below the stitch', short: 'its ch' }),
    through(2),
  ],
  looks: 'A row of stitches with a chain along its bottom, both as wide.',
  mistake: {
    text: 'The next stitch goes under the stitch instead of under the chain below it.',
    repair: 'Pinch the chain that was made last, and go under its two strands.',
  },
  words: ['foundation {single}'],
};
