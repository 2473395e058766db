import { step, type Technique } from '../definition';

/** In and out along a line: quick, and enough where nothing pulls (handbook 14). */
export const runningStitch: Technique = {
  id: 'running-stitch',
  family: 'seam',
  name: 'running stitch',
  what: 'In and out along a line: quick, and enough where nothing pulls.',
  steps: [step('Needle in and out at even steps along the line.', 'in and out')],
  looks: 'A dashed line on both sides.',
  mistake: { text: 'Pulled, it gathers.', repair: 'Smooth it out along its length before you secure it.' },
  words: ['running stitches'],
};
