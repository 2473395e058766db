import { step, type Technique } from '../definition';

/** Through the front layer only, with a shank where the fabric is thick (handbook 14). */
export const button: Technique = {
  id: 'button',
  family: 'finish',
  name: 'sewing on a button',
  what: 'Through the front layer only, with a shank where the fabric is thick.',
  steps: [
    step('Put the item in, close the flap and mark the place.', 'mark with item in'),
    step('Slip a card inside, so that the needle meets one layer.', 'card inside'),
    step(
      'Sew through the button four times, wind the thread around under it, secure it twice.',
      'sew 4 times, wind, secure',
    ),
  ],
  looks: 'A button that stands a little off the fabric.',
  mistake: {
    text: 'Sewn through both layers, it closes the pouch.',
    repair: 'Unpick it and sew again with the card inside.',
  },
  words: ['button', 'buttons', 'Sew the button on'],
};
