import { BOW } from '../../../craft/fabric';
import { step, type Technique } from '../definition';
import { UP, through, into } from '../moves';

/** Chains that span more than they are wide, held by a short stitch: light and stretchy (handbook 14). */
export const meshLoop: Technique = {
  id: 'mesh-loop',
  family: 'stitch',
  level: { is: 'intermediate', since: 'special stitches' },
  name: 'chain loop of a mesh',
  stitch: 'net',
  abbreviation: 'ch lp',
  symbol: BOW,
  what: 'Chains that span more than they are wide, held by a short stitch: light and stretchy.',
  steps: [step('Work the chains of the loop, as many as the row says.', 'ch as many as the row says')],
  moves: [into('space', 1, 'in the place that holds the loop', 'in place that holds lp'), UP, through(2)],
  looks: 'Diamonds that all hang alike.',
  mistake: {
    text: 'A chain more or less shows as a diamond larger or smaller than its neighbours.',
    repair: 'Count the chains of each loop as you make it.',
  },
  words: [
    'mesh',
    'net',
    'loop of chains',
    'loops of chains',
    'net of chain loops',
    'chain mesh',
    'free loop',
    'loop you stand in',
  ],
};
