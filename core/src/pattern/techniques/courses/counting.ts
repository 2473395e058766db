import { step, type Technique } from '../definition';

/** Counting stitches, rows and rounds as they stand (handbook 14). */
export const counting: Technique = {
  id: 'counting',
  family: 'course',
  name: 'counting',
  what: 'Counting stitches, rows and rounds as they stand.',
  steps: [
    step('Stitches: count the Vs along the top, not the loop on the hook.', 'count Vs'),
    step('Rows of short stitches: each ridge is 2 rows.', '1 ridge = 2 rows'),
    step('Rounds: count just behind the marker.', 'count rnds behind m'),
  ],
  looks: 'The number at the row’s end.',
  mistake: {
    text: 'The loop on the hook, or the turning chain, is counted.',
    repair: 'Begin at the edge with the first V you can put the hook under.',
  },
  words: ['ridge', 'ridges', 'each ridge is 2 rows', 'count is off'],
};
