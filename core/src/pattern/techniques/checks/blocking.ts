import { step, type Technique } from '../definition';

/** Giving a piece its shape with water or steam (handbook 14). */
export const blocking: Technique = {
  id: 'blocking',
  family: 'check',
  name: 'blocking',
  what: 'Giving a piece its shape with water or steam.',
  steps: [
    step('Wet or steam it as its fibre allows.', 'wet or steam'),
    step('Pin it to size and let it dry.', 'pin, dry'),
  ],
  looks: 'Even stitches, straight edges.',
  mistake: { text: 'Stretched to hide a wrong count, it goes back.', repair: 'Work it again with the right count.' },
  words: ['block', 'blocked', 'Block to size'],
};
