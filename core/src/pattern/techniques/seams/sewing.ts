import { step, type Technique } from '../definition';

/** With a tapestry needle, yarn and the same number of places on both edges (handbook 14). */
export const sewing: Technique = {
  id: 'sewing',
  family: 'seam',
  level: { is: 'easy', since: 'joining' },
  name: 'sewing',
  what: 'With a tapestry needle, yarn and the same number of places on both edges.',
  steps: [
    step('Begin at the end that suits your sewing hand, and go over the first place twice.', 'first place twice'),
    step('Sew place by place; let the needle hang now and then to untwist.', 'sew place by place'),
    step('Go over the last place twice.', 'last place twice'),
  ],
  looks: 'A line that lies as flat as the fabric.',
  mistake: {
    text: 'Pulled tight, the seam is shorter than the edge.',
    repair: 'Lay it flat after every hand’s width and loosen it.',
  },
  words: [
    'sew',
    'sewn',
    'sewing',
    'sew up',
    'seam',
    'seams',
    'hem',
    'stitched',
    'going over each seam three times',
    'go over',
    'tapestry needle',
    'needle',
  ],
};
