import { step, type Technique } from '../definition';

/** Stitches worked into the side of rows, at a stated ratio (handbook 14). */
export const rowEnds: Technique = {
  id: 'row-ends',
  family: 'edging',
  level: { is: 'easy', since: 'joining' },
  name: 'working along row ends',
  also: ['picking up along an edge'],
  what: 'Stitches worked into the side of rows, at a stated ratio.',
  steps: [
    step('Put the hook under two strands at the edge of the row.', 'hook under 2 strands'),
    step('Keep to the total stated, spread evenly; the same on both sides.', 'spread total evenly'),
  ],
  looks: 'An edge that lies flat, without holes.',
  mistake: {
    text: 'It ripples: too many. It draws in: too few.',
    repair: 'Pull out to where it began, and spread the stated number again.',
  },
  words: ['row ends', 'row end', 'pick up', 'picked up'],
};
