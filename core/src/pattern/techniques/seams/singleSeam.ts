import { step, type Technique } from '../definition';

/** Two layers joined by short stitches, which stand out as a braid (handbook 14). */
export const singleSeam: Technique = {
  id: 'single-seam',
  family: 'seam',
  name: '{single} seam',
  what: 'Two layers joined by short stitches, which stand out as a braid.',
  steps: [step('Hook through one place of both layers and work the stitch.', '{sc} through both layers')],
  looks: 'A firm braid along the edge.',
  mistake: { text: 'Too many stitches flare it.', repair: 'Keep to the number stated, spread evenly.' },
  words: [],
};
