import { step, type Technique } from '../definition';

/** A base of rounds that neither cups nor ruffles (handbook 14). */
export const flatBase: Technique = {
  id: 'flat-base',
  family: 'check',
  name: 'flat base',
  what: 'A base of rounds that neither cups nor ruffles.',
  steps: [step('Lay it on the table after each round.', 'lay flat each rnd')],
  looks: 'It lies flat by itself.',
  mistake: {
    text: 'It cups: too few increases for your stitches. It ruffles: too many.',
    repair: 'Use a larger hook if it cups, a smaller one if it ruffles, and begin again.',
  },
  words: ['cups', 'cup', 'ruffles', 'cupping', 'base'],
};
