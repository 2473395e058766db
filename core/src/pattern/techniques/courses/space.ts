import { step, type Technique } from '../definition';

/** The hole under chains: the hook goes under them, not into one (handbook 14). */
export const space: Technique = {
  id: 'space',
  family: 'course',
  name: 'chain space',
  abbreviation: 'ch-sp',
  what: 'The hole under chains: the hook goes under them, not into one.',
  steps: [step('Put the hook under the whole chain and work around it.', 'work around ch')],
  looks: 'Stitches that sit on the chain and can be moved along it.',
  mistake: {
    text: 'Worked into a single chain, the stitches cannot spread.',
    repair: 'The hook goes in below and comes out above the chain.',
  },
  words: [
    'each pair',
    'next pair',
    'pairs of stitches',
    'space',
    'spaces',
    'corner space',
    'gap before',
    'gap after',
    'gap',
    'gaps',
    'middle of each',
    'middle of the next',
  ],
};
