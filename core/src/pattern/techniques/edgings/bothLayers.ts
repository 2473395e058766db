import { step, type Technique } from '../definition';

/** Stitches that join two layers as they are worked (handbook 14). */
export const bothLayers: Technique = {
  id: 'both-layers',
  family: 'edging',
  level: { is: 'easy', since: 'joining' },
  name: 'through both layers',
  what: 'Stitches that join two layers as they are worked.',
  steps: [
    step('Lay the layers on each other as stated and pin the corners first.', 'pin corners'),
    step('Put the hook through one place of each layer, then work the stitch.', 'hook through both, work st'),
  ],
  looks: 'A braid along the edge, the layers level.',
  mistake: {
    text: 'A place of one layer is passed over, and the ends do not meet.',
    repair: 'Pull out to the last place where they matched, and join again place by place.',
  },
  words: [
    'through both layers',
    'through all layers',
    'both layers',
    'through both edgings',
    'all 3 layers',
    'all layers',
  ],
};
