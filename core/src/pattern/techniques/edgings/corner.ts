import { step, type Technique } from '../definition';

/** How an edge turns without pulling in (handbook 14). */
export const corner: Technique = {
  id: 'corner',
  family: 'edging',
  name: 'corner',
  what: 'How an edge turns without pulling in.',
  steps: [
    step('Work 3 stitches in the corner’s one place.', '3 sts in corner'),
    step('Of reverse stitches 2; of slip stitches 1.', 'rev 2, {ss} 1'),
  ],
  looks: 'A corner that lies flat and is square.',
  mistake: {
    text: 'Fewer stitches round it off and cup it.',
    repair: 'Put the missing one in; mark the middle stitch for the next round.',
  },
  words: ['in the corner', 'corners', 'at the corner'],
};
