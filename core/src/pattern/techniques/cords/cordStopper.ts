import { step, type Technique } from '../definition';

/** A small crocheted ball both cord ends run through (handbook 14). */
export const cordStopper: Technique = {
  id: 'cord-stopper',
  family: 'cord',
  name: 'cord stopper',
  what: 'A small crocheted ball both cord ends run through.',
  steps: [
    step('Work the rounds as stated.', 'work rnds'),
    step(
      'Thread the ends of the cord through it. Nothing is drawn shut, so that it slides.',
      'thread cord through, do not draw shut',
    ),
  ],
  looks: 'A ball that slides and stays.',
  mistake: {
    text: 'It slides too easily.',
    repair: 'Draw a length of yarn through its last round and pull that in a little.',
  },
  words: ['sliding bobble', 'cord stoppers'],
};
