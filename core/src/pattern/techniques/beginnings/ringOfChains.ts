import { step, type Technique } from '../definition';

/** A beginning in the middle on a few chains instead of a ring of yarn (handbook 14). */
export const ringOfChains: Technique = {
  id: 'ring-of-chains',
  family: 'beginning',
  name: 'ring of chains',
  what: 'A beginning in the middle on a few chains instead of a ring of yarn.',
  steps: [
    step('Chain 2.', 'ch 2'),
    step('Work the first round into the second chain from the hook.', 'work rnd 1 in 2nd ch from hook'),
  ],
  looks: 'Stitches that stand around one chain, with a small hole.',
  mistake: {
    text: 'A tight chain is hard to find again for the last stitches.',
    repair: 'Make the first of the two chains loosely.',
  },
  ways: [
    {
      name: 'Three chains or more',
      steps: [
        step('Chain the number stated and join with a {slip} to the first.', 'ch as stated, {ss} in first ch'),
        step('Work the first round into the ring, not into the chains.', 'work rnd 1 in ring'),
      ],
    },
  ],
  words: ['second chain from the hook'],
};
