import { step, type Technique } from '../definition';

/** Keeping layers from shifting while they are joined (handbook 14). */
export const holdingLayers: Technique = {
  id: 'holding-layers',
  family: 'edging',
  name: 'holding layers',
  what: 'Keeping layers from shifting while they are joined.',
  steps: [
    step('Hold the bottom corners first, then the middle, then the rest.', 'corners, middle, rest'),
    step('Use stitch markers or safety pins.', 'm or safety pins'),
  ],
  looks: 'Edges that stay level while you work.',
  mistake: { text: 'The upper layer creeps ahead.', repair: 'Pin closer, and work from the middle outwards.' },
  words: ['pin', 'pins', 'pinned'],
};
