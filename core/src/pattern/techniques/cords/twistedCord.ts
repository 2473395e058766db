import { step, type Technique } from '../definition';

/** Strands that wind around each other (handbook 14). */
export const twistedCord: Technique = {
  id: 'twisted-cord',
  family: 'cord',
  name: 'twisted cord',
  what: 'Strands that wind around each other.',
  steps: [
    step('Cut strands 2.7 times as long as the cord.', 'cut strands 2.7 x length'),
    step('Knot them, fix one end and twist until the cord kinks.', 'twist until it kinks'),
    step('Fold it in half, let it wind, and knot the end.', 'fold, let wind, knot'),
  ],
  looks: 'Even turns, hard to the touch.',
  mistake: { text: 'Twisted too little, it opens.', repair: 'Undo the knot and twist on until it kinks by itself.' },
  words: ['twist hard', 'let them wind', 'pair of strands', 'twist until', 'strands'],
};
