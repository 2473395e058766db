import { step, type Technique } from '../definition';

/** Chains that stand out from an edge, to go over a button (handbook 14). */
export const buttonLoop: Technique = {
  id: 'button-loop',
  family: 'edging',
  name: 'button loop',
  what: 'Chains that stand out from an edge, to go over a button.',
  steps: [
    step('Chain the number stated at the place stated.', 'ch as stated'),
    step('Continue with the next stitch, or {slip} into the stitch just made.', 'next st, or {ss} in st just made'),
  ],
  looks: 'A loop that just passes over the button.',
  mistake: {
    text: 'Made to measure over a bare thread, it is too loose once it has been used.',
    repair: 'Make it one chain shorter than fits easily: loops grow.',
  },
  words: ['for the loop', 'button loops', 'loop lie straight', 'loop pass over', 'chain for the loop'],
};
