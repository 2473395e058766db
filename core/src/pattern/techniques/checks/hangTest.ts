import { step, type Technique } from '../definition';

/** What a load does to a strap or a bag (handbook 14). */
export const hangTest: Technique = {
  id: 'hang-test',
  family: 'check',
  name: 'hang test',
  what: 'What a load does to a strap or a bag.',
  steps: [
    step('Hang the load on it for a minute.', 'hang load 1 min'),
    step('Measure again, and enter the difference.', 'measure again'),
  ],
  looks: 'A difference you can live with.',
  mistake: { text: 'Measured at once, it seems to hold.', repair: 'Wait the minute.' },
  words: ['hang the load', 'Hang test', 'hang the weight'],
};
