import { step, type Technique } from '../definition';

/** The new colour comes with the last pull-through before it (handbook 14). */
export const changingColour: Technique = {
  id: 'changing-colour',
  family: 'yarn',
  name: 'changing colour',
  what: 'The new colour comes with the last pull-through before it.',
  steps: [
    step('Work the last stitch until one pull-through is left.', 'work last st to last pull-through'),
    step('Draw the new colour through, and continue with it.', 'draw new colour through'),
  ],
  looks: 'The colour begins with a whole stitch.',
  mistake: {
    text: 'Changed a stitch late, the new row begins with a loop of the old colour.',
    repair: 'Pull out one stitch and make its last pull-through with the new colour.',
  },
  ways: [
    {
      name: 'In joined rounds',
      steps: [step('Make the joining {slip} with the new colour.', '{ss} to join in new colour')],
    },
    { name: 'A new strand', steps: [step('Begin with a stitch standing on the fresh yarn.', 'standing st')] },
  ],
  words: ['change to', 'last pull-through'],
};
