import { step, type Technique } from '../definition';

/** Each round is closed before the next begins (handbook 14). */
export const joinedRounds: Technique = {
  id: 'joined-rounds',
  family: 'course',
  level: { is: 'easy', since: 'rounds' },
  name: 'joined rounds',
  what: 'Each round is closed before the next begins.',
  steps: [
    step('{Slip} in the first stitch of the round.', '{ss} in first st'),
    step('Chain up, and work the first stitch in that same place.', 'ch, first st in same place'),
  ],
  looks: 'A seam that leans a little from round to round.',
  mistake: {
    text: 'The joining slip stitch is worked as a stitch, and each round gains one.',
    repair: 'Never work into the slip stitch. Where the starting chain counts, join into its top.',
  },
  words: ['join with a slip stitch', 'joining slip stitch', 'joining stitch', 'to the first stitch'],
};
