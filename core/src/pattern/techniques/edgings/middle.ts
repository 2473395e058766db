import { step, type Technique } from '../definition';

/** The middle of an edge or a face (handbook 14). */
export const middle: Technique = {
  id: 'middle',
  family: 'edging',
  name: 'finding the middle',
  what: 'The middle of an edge or a face.',
  steps: [step('Fold it in half and mark the fold, or count.', 'fold in half, mark')],
  looks: 'As many stitches on both sides.',
  mistake: {
    text: 'Measured on fabric that is stretched, it is off.',
    repair: 'Let it lie for a moment, then count stitches instead.',
  },
  words: ['at the middle', 'the middle', 'centred'],
};
