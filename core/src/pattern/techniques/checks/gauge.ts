import { step, type Technique } from '../definition';

/** How many stitches and rows there are to 10 cm (handbook 14). */
export const gauge: Technique = {
  id: 'gauge',
  family: 'check',
  name: '{gauge}',
  what: 'How many stitches and rows there are to 10 cm.',
  steps: [
    step('Work a square of at least 12 cm, wash it as the piece will be.', 'work 12 cm square'),
    step('Lay it flat and count 10 cm in its middle.', 'count 10 cm in middle'),
    step('Count in three places.', 'count 3 times'),
  ],
  looks: 'The numbers of the plan, to half a stitch.',
  mistake: { text: 'Measured at the edge, it lies.', repair: 'Stay two stitches away from every edge.' },
  words: ['{gauge}', 'swatch'],
};
