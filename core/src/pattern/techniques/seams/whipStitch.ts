import { step, type Technique } from '../definition';

/** Over and over along two edges (handbook 14). */
export const whipStitch: Technique = {
  id: 'whip-stitch',
  family: 'seam',
  name: 'whip stitch',
  what: 'Over and over along two edges.',
  steps: [
    step('Needle through both layers from the same side each time, place by place.', 'needle same side each time'),
  ],
  looks: 'Slanting strands over the edge.',
  mistake: {
    text: 'The needle catches a different loop each time.',
    repair: 'Always the outer loop of both, or always both.',
  },
  words: ['whip stitched'],
};
