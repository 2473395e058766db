import type { CautionDefinition } from './definition';

export const points: CautionDefinition = {
  id: 'points',
  text: 'Sharp points go through crochet fabric. Store scissors closed with the points down. Add a lining or put caps on slim tips.',
  hazard: 'point',
};
