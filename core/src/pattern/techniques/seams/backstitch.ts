import { step, type Technique } from '../definition';

/** A strong line through layers, to part or to hold them (handbook 14). */
export const backstitch: Technique = {
  id: 'backstitch',
  family: 'seam',
  name: 'backstitch',
  what: 'A strong line through layers, to part or to hold them.',
  steps: [step('Come up a stitch ahead, go down where the last one ended.', 'up 1 ahead, down at last end')],
  looks: 'A line without gaps on the front.',
  mistake: {
    text: 'It wanders from the column.',
    repair: 'Mark the line with pins and follow one column of stitches.',
  },
  words: ['backstitched'],
};
