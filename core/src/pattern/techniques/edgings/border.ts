import { step, type Technique } from '../definition';

/** One or more rounds along an edge, so that it is even and does not stretch (handbook 14). */
export const border: Technique = {
  id: 'border',
  family: 'edging',
  name: 'edging',
  what: 'One or more rounds along an edge, so that it is even and does not stretch.',
  steps: [
    step('Join the yarn where stated, right side facing.', 'join yarn, RS facing'),
    step('Work along each edge the number stated.', 'work number stated'),
    step('Join with a {slip} to the first stitch.', '{ss} in first st'),
  ],
  looks: 'Flat all around, corners square.',
  mistake: {
    text: 'It waves, or pulls in.',
    repair: 'Leave out a few stitches, or work a few more, spread along the edge.',
  },
  words: ['edging', 'edgings', 'border'],
};
