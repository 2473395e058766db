import { step, type Technique } from '../definition';

/** Where a row ends, and what is most often overlooked (handbook 14). */
export const lastStitch: Technique = {
  id: 'last-stitch',
  family: 'course',
  name: 'last stitch of a row',
  what: 'Where a row ends, and what is most often overlooked.',
  steps: [
    step('Where the chain does not count: the last upright V; the chain lies behind it.', 'last V, not ch'),
    step('Where the chain counts: its top is the last stitch.', 'top of tch'),
  ],
  looks: 'Both edges straight, the count the same in every row.',
  mistake: {
    text: 'One too few: the last V was left out. One too many: the chain was worked as well.',
    repair: 'Count the row, and pull out to the row where the count changed.',
  },
  words: ['last stitch', 'ends of the rows'],
};
