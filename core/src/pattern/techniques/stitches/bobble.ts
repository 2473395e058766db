import type { Technique } from '../definition';
import { NEXT, OVER, UP, through, into } from '../moves';

/** Several tall stitches begun in one place and closed together, so that they stand out as a knob (handbook 14). */
export const bobble: Technique = {
  id: 'bobble',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'bobble',
  abbreviation: 'bo',
  symbol: (x, y, w, h) =>
    `M${x} ${y - 0.4 * h}Q${x - 0.5 * w} ${y} ${x} ${y + 0.4 * h}Q${x + 0.5 * w} ${y} ${x} ${y - 0.4 * h}`,
  what: 'Several tall stitches begun in one place and closed together, so that they stand out as a knob.',
  moves: [
    OVER,
    NEXT,
    UP,
    through(2),
    OVER,
    into('stitch', 1, 'in the same place', 'in same place'),
    UP,
    through(2),
    OVER,
    into('stitch', 1, 'in the same place', 'in same place'),
    UP,
    through(2),
    OVER,
    into('stitch', 1, 'in the same place', 'in same place'),
    UP,
    through(2),
    through(5),
    through(1, { full: 'the chain that closes it', short: 'ch 1 to close' }),
  ],
  looks: 'A round knob on the side away from you.',
  mistake: {
    text: 'Without the closing chain it opens and lies flat.',
    repair: 'Chain 1 tightly after it, and push it out with a finger.',
  },
  words: ['bobble', 'bobbles'],
};
