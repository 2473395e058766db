import { BASES } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { UP, through, into } from '../moves';

/** Short stitches worked backwards, without turning, which lie along an edge like a cord (handbook 14). */
export const reverseSingle: Technique = {
  id: 'reverse-single',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: '{reverse}',
  stitch: 'reverse',
  abbreviation: 'rev {sc}',
  practice: { edge: 'reverse' },
  symbol: BASES.reverse.symbol,
  also: ['crab stitch'],
  what: 'Short stitches worked backwards, without turning, which lie along an edge like a cord.',
  moves: [
    into('stitch', -1, 'in the next stitch to the {side:right}, from front to back', 'in next st to the {side:right}'),
    UP,
    through(2),
  ],
  looks: 'A row of twisted knots along the edge.',
  mistake: {
    text: 'Turned out of habit, it becomes a plain row.',
    repair: 'Keep the right side facing you and go from {side:left} to {side:right}.',
  },
  words: ['worked backwards', 'backwards'],
};
