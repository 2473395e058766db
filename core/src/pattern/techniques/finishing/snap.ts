import { step, type Technique } from '../definition';

/** Two halves that meet when the flap is closed (handbook 14). */
export const snap: Technique = {
  id: 'snap',
  family: 'finish',
  name: 'snap or magnet',
  what: 'Two halves that meet when the flap is closed.',
  steps: [
    step('Put the item in, close the flap and mark through it.', 'mark with item in'),
    step('Sew one half to the front layer only, a card inside.', 'sew 1 half to front'),
    step('Press chalk on it, close the flap, and sew the other half where it prints.', 'print, sew other half'),
  ],
  looks: 'Halves that meet without pulling the flap.',
  mistake: { text: 'Marked on an empty pouch, they do not meet.', repair: 'Mark again with the item in it.' },
  words: ['snap', 'snaps', 'magnet', 'magnets', 'halves', 'one half'],
};
