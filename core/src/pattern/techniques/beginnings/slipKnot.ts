import { step, type Technique } from '../definition';

/** The loop everything begins with; it slides when the tail is pulled, and is not counted (handbook 14). */
export const slipKnot: Technique = {
  id: 'slip-knot',
  family: 'beginning',
  name: 'slip knot',
  what: 'The loop everything begins with; it slides when the tail is pulled, and is not counted.',
  steps: [
    step('Lay the yarn in a ring, the tail behind.', 'lay yarn in a ring, tail behind'),
    step('Draw a loop of the working yarn through the ring.', 'draw loop of working yarn through'),
    step('Put the hook in and pull until the loop lies on it without gripping.', 'put hook in, pull snug'),
  ],
  looks: 'A loop with a small knot under it.',
  mistake: {
    text: 'Tied so that the working yarn tightens it, the loop cannot be closed later.',
    repair: 'Pull the tail: the loop must become smaller.',
  },
  words: ['slip knot'],
};
