import { step, type Technique } from '../definition';

/** What saves a piece before it is begun (handbook 14). */
export const beforeStarting: Technique = {
  id: 'before-starting',
  family: 'check',
  name: 'before you start',
  what: 'What saves a piece before it is begun.',
  steps: [
    step('Read all steps once.', 'read all steps'),
    step('Work the shorter of two pieces that are alike first.', 'shorter piece first'),
  ],
  looks: 'Nothing in the pattern that you have not met.',
  mistake: { text: 'A word is met for the first time in mid-row.', repair: 'Open it here and try it on the swatch.' },
  words: ['before you start'],
};
