import { step, type Technique } from '../definition';

/** Tails hidden so that they stay (handbook 14). */
export const weavingIn: Technique = {
  id: 'weaving-in',
  family: 'yarn',
  name: 'weaving in ends',
  what: 'Tails hidden so that they stay.',
  steps: [
    step('With a tapestry needle go under 5 stitches along a row.', 'under 5 sts'),
    step('Go back another way; for slippery yarn a third time.', 'back another way'),
    step('Cut close.', 'cut'),
  ],
  looks: 'Nothing on the right side.',
  mistake: {
    text: 'Woven one way only, it works out in use.',
    repair: 'Weave it back the other way before a seam closes over it.',
  },
  words: ['weave in', 'weave in all ends', 'weave in the ends', 'woven in', 'run each along'],
};
