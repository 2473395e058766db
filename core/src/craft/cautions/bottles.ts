import type { CautionDefinition } from './definition';

export const bottles: CautionDefinition = {
  id: 'bottles',
  text: 'This cover does not insulate. Do not carry hot or fizzy bottles. Take care with glass. Never carry more than the weight you have tested it with.',
  hazard: 'bottle',
};
