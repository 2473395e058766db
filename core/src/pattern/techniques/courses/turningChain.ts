import { step, type Technique } from '../definition';

/** Chains at a row’s beginning that bring the hook up to its height (handbook 14). */
export const turningChain: Technique = {
  id: 'turning-chain',
  family: 'course',
  name: 'turning chain',
  abbreviation: 'tch',
  what: 'Chains at a row’s beginning that bring the hook up to its height.',
  steps: [
    step('Chain 1 for short stitches, 2 for half-tall, 3 for tall ones.', 'ch 1, 2 or 3'),
    step('Turn, and continue as stated.', 'turn'),
  ],
  looks: 'A small column at the edge.',
  mistake: {
    text: 'Counted in one row and not in the next, the row loses or gains a stitch.',
    repair: 'See which rule the pattern states, and keep it to the end.',
  },
  ways: [
    {
      name: 'It counts as a stitch',
      habit: { turningChainCounts: true },
      steps: [
        step('Leave out the first stitch: the chain stands for it.', '{sk} first st'),
        step('Work the last stitch of the next row into its top.', 'last st in top of tch'),
      ],
    },
    {
      name: 'It does not count',
      habit: { turningChainCounts: false },
      steps: [
        step('Work into the first stitch.', 'first st in first st'),
        step('Leave the chain itself alone at the end of the next row.', 'leave tch unworked'),
      ],
    },
  ],
  words: [
    'top of the turning chain',
    'counts as a stitch',
    'counts as the first',
    'count as the first stitch',
    'does not count as a stitch',
  ],
};
