import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, OVER, UP, through } from '../moves';

/** A tall stitch with a post that can be seen between its neighbours (handbook 14). */
export const double: Technique = {
  id: 'double',
  family: 'stitch',
  everyday: true,
  level: { is: 'easy', since: 'taller stitches' },
  name: '{double}',
  stitch: 'double',
  abbreviation: '{dc}',
  symbol: BASES.double.symbol,
  also: ['US double crochet (dc) is UK treble (tr)'],
  what: 'A tall stitch with a post that can be seen between its neighbours.',
  moves: [OVER, NEXT, UP, through(2), through(2)],
  looks: 'A post twice as tall as wide with one slanting strand around it.',
  mistake: {
    text: 'A loop drawn up too short tilts the stitch and draws the row in.',
    repair: 'Draw the first loop up to the height the row has before the next pull-through.',
  },
  words: [],
};
