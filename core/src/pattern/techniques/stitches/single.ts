import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, UP, through } from '../moves';

/** Short and dense: the stitch most covers are made of (handbook 14). */
export const single: Technique = {
  id: 'single',
  family: 'stitch',
  everyday: true,
  name: '{single}',
  stitch: 'single',
  abbreviation: '{sc}',
  symbol: BASES.single.symbol,
  also: ['US single crochet (sc) is UK double crochet (dc)'],
  what: 'Short and dense: the stitch most covers are made of.',
  moves: [NEXT, UP, through(2)],
  looks: 'Upright Vs on the right side, a bar between them on the wrong side; two turned rows make one ridge.',
  mistake: {
    text: 'Under one strand only, it makes ridges; lower down, holes; through a split yarn it is weak.',
    repair: 'Pull that stitch out and put the hook under both loops of the V.',
  },
  words: [],
};
