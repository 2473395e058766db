import { step, type Technique } from '../definition';

/** Yarn left hanging to sew with or to weave in (handbook 14). */
export const tail: Technique = {
  id: 'tail',
  family: 'yarn',
  name: 'leaving a tail',
  what: 'Yarn left hanging to sew with or to weave in.',
  steps: [
    step('Before the first chain or before you cut, measure the length stated.', 'leave length stated'),
    step('Wind it up so that it is not in the way.', 'wind up'),
  ],
  looks: 'Long enough: three times what it will sew.',
  mistake: {
    text: 'Cut too short, a seam ends in mid-way.',
    repair: 'Sew on with a new piece of yarn, both ends woven in.',
  },
  words: ['tail', 'tails', 'leave a tail', 'leaving a tail'],
};
