import { step, type Technique } from '../definition';

/** A flat beginning: along the chain, around its end, and back along the loops left free below it (handbook 14). */
export const roundAChain: Technique = {
  id: 'round-a-chain',
  family: 'beginning',
  name: 'round both sides of a chain',
  what: 'A flat beginning: along the chain, around its end, and back along the loops left free below it.',
  steps: [
    step('Work along the chain to its last one.', 'work along ch to last ch'),
    step('Work the number stated into that last chain.', 'work number stated in last ch'),
    step('Rotate the work like a page, without turning it over.', 'rotate'),
    step('Work back along the free loops under the chain, over the tail.', 'work back along free lps'),
  ],
  looks: 'An oval with the chain as a line through its middle.',
  mistake: {
    text: 'Turned over, the second side shows its wrong side.',
    repair: 'Keep the same side facing you. Count the stitches on both sides: they are alike.',
  },
  words: [
    'both sides of this chain',
    'other side of the foundation chain',
    'along the other side',
    'round the end',
    'rotate',
    '(do not turn over)',
  ],
};
