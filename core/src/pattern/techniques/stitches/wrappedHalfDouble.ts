import { post, line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { OVER, UP, through, into } from '../moves';

/** A stitch worked around the post of the one just made, so that it lies across it; two together restore the count (handbook 14). */
export const wrappedHalfDouble: Technique = {
  id: 'wrapped-half-double',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'wrapped {half-double}',
  stitch: 'wrapped-half-double',
  abbreviation: 'wrapped {hdc}',
  symbol: (x, y, w, h) => `${post(0)(x, y, w, h)}${move(x - 0.35 * w, y + 0.1 * h)}${line(x + 0.35 * w, y - 0.1 * h)}`,
  what: 'A stitch worked around the post of the one just made, so that it lies across it; two together restore the count.',
  moves: [
    OVER,
    into('post', -1, 'in the gap before the stitch just made, around its post', 'around post of st just made'),
    UP,
    through(3),
  ],
  looks: 'A soft bar that lies across an upright stitch.',
  mistake: {
    text: 'The two together after it are forgotten, and the row grows by one each time.',
    repair: 'Count after the first repeat: as many stitches as it lies over.',
  },
  words: ['{wrapped-half-double}', 'round the post', 'around the post', 'post'],
};
