import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, OVER, UP, through } from '../moves';

/** The tallest of the plain stitches: open, and quickly high (handbook 14). */
export const treble: Technique = {
  id: 'treble',
  family: 'stitch',
  everyday: true,
  level: { is: 'easy', since: 'taller stitches' },
  name: '{treble}',
  stitch: 'treble',
  abbreviation: '{tr}',
  symbol: BASES.treble.symbol,
  also: ['US treble crochet (tr) is UK double treble (dtr)'],
  what: 'The tallest of the plain stitches: open, and quickly high.',
  moves: [OVER, OVER, NEXT, UP, through(2), through(2), through(2)],
  looks: 'A long post with two slanting strands around it.',
  mistake: {
    text: 'One of the two wraps of yarn is lost, and the stitch comes out a size lower.',
    repair: 'Count the loops once the first is drawn up: there are four.',
  },
  words: [],
};
