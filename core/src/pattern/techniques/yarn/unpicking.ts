import { step, type Technique } from '../definition';

/** A sewn seam or line opened again (handbook 14). */
export const unpicking: Technique = {
  id: 'unpicking',
  family: 'yarn',
  name: 'unpicking',
  what: 'A sewn seam or line opened again.',
  steps: [
    step('Loosen the last stitch with the needle’s eye, not its point.', 'loosen with eye of needle'),
    step('Draw the yarn back place by place.', 'draw back'),
  ],
  looks: 'Both edges as they were.',
  mistake: {
    text: 'Cut with scissors, the fabric itself is caught.',
    repair: 'Draw the yarn out; cut only what is free.',
  },
  words: ['unpick', 'take the line out'],
};
