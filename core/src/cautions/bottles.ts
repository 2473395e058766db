import type { CautionDefinition } from './definition';

export const bottles: CautionDefinition = {
  id: 'bottles',
  text: 'A bottle sling is no insulation: not for hot or fizzy bottles. Mind glass, and never carry more than the weight the strap was tested with.',
  hazard: 'bottle',
};
