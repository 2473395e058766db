import { step, type Technique } from '../definition';

/** Two layers joined by slip stitches (handbook 14). */
export const slipSeam: Technique = {
  id: 'slip-seam',
  family: 'seam',
  name: 'slip stitch seam',
  what: 'Two layers joined by slip stitches.',
  steps: [
    step(
      'Hook through one place of both layers, draw the loop through both and through the loop on the hook.',
      '{ss} through both layers',
    ),
  ],
  looks: 'A flat chain along the join.',
  mistake: { text: 'Tight stitches shorten the edge.', repair: 'Use a hook one size larger.' },
  words: ['slip stitch seam'],
};
