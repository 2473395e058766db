import type { CautionDefinition } from './definition';

export const aboveSleepers: CautionDefinition = {
  id: 'above-sleepers',
  text: 'Over a sofa arm or a bed: cords away, nothing heavy and nothing hot above anyone who sleeps.',
  hazard: 'above-sleepers',
};
