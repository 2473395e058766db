import { OVAL, post } from '../../../craft/fabric';
import { step, type Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** Chain and first row in one, half-tall (handbook 14). */
export const foundationHalfDouble: Technique = {
  id: 'foundation-half-double',
  family: 'stitch',
  name: 'foundation {half-double}',
  abbreviation: 'f{hdc}',
  symbol: (x, y, w, h) => `${post(0)(x, y - 0.1 * h, w, h)}${OVAL(x, y + 0.45 * h, w, 0.5 * h)}`,
  what: 'Chain and first row in one, half-tall.',
  steps: [step('Chain 2.', 'ch 2')],
  moves: [
    OVER,
    into('chain', 1, 'in the first chain made', 'in first ch'),
    UP,
    through(1, { full: 'the chain below the stitch', short: 'its ch' }),
    through(3),
  ],
  looks: 'A row of half-tall stitches with a chain along its bottom.',
  mistake: {
    text: 'The chain below is drawn tight, and the edge curves.',
    repair: 'Leave the loop that becomes the chain as wide as the others.',
  },
  words: ['foundation {half-double}', 'foundation {double}'],
};
