import type { CautionDefinition } from './definition';

export const points: CautionDefinition = {
  id: 'points',
  text: 'Hook and scissor points go through the fabric: scissors closed and point down, slim tips in a lining or with a cap on.',
  hazard: 'point',
};
