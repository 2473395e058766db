import { step, type Technique } from '../definition';

/** A tail laid along the tops of stitches and worked around (handbook 14). */
export const overTails: Technique = {
  id: 'over-tails',
  family: 'yarn',
  name: 'working over tails',
  what: 'A tail laid along the tops of stitches and worked around.',
  steps: [
    step('Lay the tail along the row below.', 'lay tail along row'),
    step('Work around it for 6 stitches or more, tug it once, cut it.', 'work over 6 sts, tug, cut'),
  ],
  looks: 'Nothing shows, and the row lies as it did.',
  mistake: { text: 'A slippery yarn slides out again.', repair: 'Weave the last of it back with a needle.' },
  words: ['over the tail'],
};
