import { step, type Technique } from '../definition';

/** Rows taken apart down to a mistake (handbook 14). */
export const pullingOut: Technique = {
  id: 'pulling-out',
  family: 'yarn',
  name: 'pulling out',
  also: ['ripping back', 'frogging'],
  what: 'Rows taken apart down to a mistake.',
  steps: [
    step('Take the hook out and pull the yarn, stitch by stitch.', 'hook out, pull yarn'),
    step(
      'Stop one stitch above the mistake, put the hook into the loop, and pull out the last by hand.',
      'stop 1 st above, hook in lp',
    ),
  ],
  looks: 'One live loop, the row below whole.',
  mistake: {
    text: 'One loop too many is pulled.',
    repair: 'Put the hook into the loop that is live, and count what is left.',
  },
  words: ['pull out', 'pull it out', 'pulled out', 'pull them out', 'undo '],
};
