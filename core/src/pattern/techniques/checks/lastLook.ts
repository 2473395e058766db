import { step, type Technique } from '../definition';

/** Before any cut (handbook 14). */
export const lastLook: Technique = {
  id: 'last-look',
  family: 'check',
  name: 'last look',
  what: 'Before any cut.',
  steps: [
    step('Count the last row or round.', 'count'),
    step('Lay it flat; put the item in.', 'lay flat, item in'),
    step('Only then cut.', 'cut'),
  ],
  looks: 'Count, size and fit as stated.',
  mistake: {
    text: 'The yarn is cut before the flap was tried.',
    repair: 'Join new yarn and work on; both ends are woven in.',
  },
  words: ['before you cut', 'try it'],
};
