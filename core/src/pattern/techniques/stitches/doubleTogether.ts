import { line, move } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, OVER, UP, through, into } from '../moves';

/** A decrease of two tall stitches that lean together (handbook 14). */
export const doubleTogether: Technique = {
  id: 'double-together',
  family: 'stitch',
  level: { is: 'intermediate', since: 'shaping' },
  name: '{double} 2 together',
  abbreviation: '{dc}2tog',
  symbol: (x, y, w, h) =>
    `${move(x - 0.35 * w, y + 0.45 * h)}${line(x, y - 0.45 * h)}${line(x + 0.35 * w, y + 0.45 * h)}${move(x - 0.28 * w, y + 0.05 * h)}${line(x - 0.08 * w, y - 0.05 * h)}${move(x + 0.08 * w, y - 0.05 * h)}${line(x + 0.28 * w, y + 0.05 * h)}`,
  also: ['US dc2tog is UK tr2tog'],
  what: 'A decrease of two tall stitches that lean together.',
  moves: [
    OVER,
    NEXT,
    UP,
    through(2),
    OVER,
    into('stitch', 2, 'in the stitch after it', 'in st after it'),
    UP,
    through(2),
    through(3),
  ],
  looks: 'Two posts that lean to one top.',
  mistake: {
    text: 'The second post is finished by itself and then closed again, which adds a loop.',
    repair: 'Both posts keep their last loop until they are closed together.',
  },
  words: ['{double} 2 together', '{double} 3 together'],
};
