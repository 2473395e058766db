import { step, type Technique } from '../definition';

/** A small crocheted ball both cord ends run through (handbook 14). */
export const cordStopper: Technique = {
  id: 'cord-stopper',
  family: 'cord',
  name: 'cord stopper',
  what: 'A small crocheted ball both cord ends run through.',
  steps: [
    step('Work the rounds as stated.', 'work rnds'),
    step('Thread both ends through, stuff it with a tail, draw the last round shut.', 'thread, stuff, draw shut'),
  ],
  looks: 'A ball that slides and stays.',
  mistake: { text: 'It slides too easily.', repair: 'Draw the last round tighter around the cord.' },
  words: ['sliding bobble', 'cord stoppers'],
};
