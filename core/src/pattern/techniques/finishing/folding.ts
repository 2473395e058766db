import { step, type Technique } from '../definition';

/** A flat piece folded where its markers are (handbook 14). */
export const folding: Technique = {
  id: 'folding',
  family: 'finish',
  name: 'folding',
  what: 'A flat piece folded where its markers are.',
  steps: [
    step('Lay it wrong side up and fold at the markers.', 'fold at m'),
    step('Look along the edge: rows, or stitches, lie side by side.', 'check edges'),
  ],
  looks: 'Edges level, a straight fold.',
  mistake: { text: 'Folded a row off, the opening is uneven.', repair: 'Unfold it and count from the marker.' },
  words: [
    'fold',
    'folds',
    'folded',
    'bottom fold',
    'top fold',
    'lay it flat',
    'lay the tube flat',
    'lay one panel',
    'lay the front',
    'laid flat',
    'lies flat',
    'lie flat',
  ],
};
