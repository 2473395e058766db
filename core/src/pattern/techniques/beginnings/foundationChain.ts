import { step, type Technique } from '../definition';

/** The chains a piece stands on. They are counted without the knot and without the loop on the hook (handbook 14). */
export const foundationChain: Technique = {
  id: 'foundation-chain',
  family: 'beginning',
  name: 'foundation chain',
  abbreviation: 'foundation ch',
  what: 'The chains a piece stands on. They are counted without the knot and without the loop on the hook.',
  steps: [
    step('Make a slip knot.', 'slip knot'),
    step(
      'Chain as many as stated: a little loosely where the edge becomes an opening, firmly where it will be closed.',
      'ch as stated',
    ),
    step('Lay it flat, the Vs up, and count them.', 'count Vs'),
  ],
  looks: 'Vs all one way, none twisted.',
  mistake: {
    text: 'The loop on the hook is counted, and the row comes out one short.',
    repair: 'Count the Vs from the knot to just below the hook.',
  },
  words: ['foundation chains', 'chain from the hook', 'foundation edge', 'Chain loosely', 'Chain firmly'],
};
