import type { CautionDefinition } from './definition';

export const aboveSleepers: CautionDefinition = {
  id: 'above-sleepers',
  text: 'If this hangs near a bed or sofa, keep cords out of reach and do not put heavy or hot things above someone who is asleep.',
  hazard: 'above-sleepers',
};
