import type { CautionDefinition } from './definition';

export const points: CautionDefinition = {
  id: 'points',
  text: 'Sharp points go through crochet fabric. Put caps on slim tips, or add a lining. What cuts goes in closed, its points down.',
  hazard: 'point',
};
