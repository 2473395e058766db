import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { NEXT, UP, SLIP } from '../moves';

/** The lowest stitch: it joins, closes, or carries the hook along an edge without adding height (handbook 14). */
export const slipStitch: Technique = {
  id: 'slip-stitch',
  family: 'stitch',
  everyday: true,
  name: '{slip}',
  stitch: 'slip',
  abbreviation: '{ss}',
  symbol: BASES.slip.symbol,
  also: ['sl st or ss'],
  what: 'The lowest stitch: it joins, closes, or carries the hook along an edge without adding height.',
  moves: [NEXT, UP, SLIP],
  looks: 'A chain lying on the edge, not standing on it.',
  mistake: {
    text: 'Drawn tight, it puckers the edge it lies on.',
    repair: 'Lift the loop a little before you draw it through, or use a larger hook for these alone.',
  },
  words: ['slip stitches', 'slip stitched'],
};
