import type { Technique } from '../definition';
import { UP, SLIP, into } from '../moves';

/** Slip stitches worked onto the face of the fabric, through all its layers (handbook 14). */
export const topStitching: Technique = {
  id: 'top-stitching',
  family: 'stitch',
  name: 'top stitching',
  also: ['surface crochet'],
  what: 'Slip stitches worked onto the face of the fabric, through all its layers.',
  moves: [
    into('layers', 1, 'from the front through all layers, the yarn behind', 'from front through all layers'),
    UP,
    SLIP,
  ],
  looks: 'A chain that lies on the front, and a line of strands behind.',
  mistake: {
    text: 'Drawn tight, it puckers; begun without a second stitch, it comes undone.',
    repair: 'Keep the loops as wide as the fabric’s stitches, and secure beginning and end twice.',
  },
  words: ['surface chain'],
};
