import { step, type Technique } from '../definition';

/** A seam from the right side that draws the edges together from within (handbook 14). */
export const mattressStitch: Technique = {
  id: 'mattress-stitch',
  family: 'seam',
  name: 'mattress stitch',
  also: ['invisible seam'],
  what: 'A seam from the right side that draws the edges together from within.',
  steps: [
    step('Lay the edges beside each other, right side up.', 'lay side by side, RS up'),
    step('Needle under a strand of one edge, then of the other, place by place.', 'under strand of each in turn'),
    step('Pull every few stitches until the yarn is gone from sight.', 'pull'),
  ],
  looks: 'The rows run on as if there were no seam.',
  mistake: { text: 'Pulled too hard, it puckers.', repair: 'Ease it out again by its length.' },
  words: ['mattress'],
};
