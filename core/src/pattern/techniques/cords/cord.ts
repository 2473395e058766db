import { step, type Technique } from '../definition';

/** What threads, ties or carries: chained, twisted or worked of two loops (handbook 14). */
export const cord: Technique = {
  id: 'cord',
  family: 'cord',
  name: 'cord',
  what: 'What threads, ties or carries: chained, twisted or worked of two loops.',
  steps: [
    step('Make it as long as stated, measured lying and not pulled.', 'make as stated'),
    step('Knot the ends.', 'knot ends'),
  ],
  looks: 'The same thickness all along.',
  mistake: { text: 'Measured while pulled, it comes out short.', repair: 'Add at the end before you knot it.' },
  words: ['cords', 'tie', 'ties', 'knot the ends', 'knot'],
};
