import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, OVER, UP, through } from '../moves';

/** Between short and tall: a soft, thick fabric that grows faster (handbook 14). */
export const halfDouble: Technique = {
  id: 'half-double',
  family: 'stitch',
  everyday: true,
  level: { is: 'easy', since: 'taller stitches' },
  name: '{half-double}',
  stitch: 'half-double',
  abbreviation: '{hdc}',
  symbol: BASES['half-double'].symbol,
  also: ['US half double crochet (hdc) is UK half treble (htr)'],
  what: 'Between short and tall: a soft, thick fabric that grows faster.',
  moves: [OVER, NEXT, UP, through(3)],
  looks: 'A V on top with a third bar just below it, on the back.',
  mistake: {
    text: 'The wrap of yarn slips off the hook, and the stitch comes out short.',
    repair: 'Hold it with a finger until it is drawn through.',
  },
  words: [],
};
