import type { CautionDefinition } from './definition';

export const smallParts: CautionDefinition = {
  id: 'small-parts',
  text: 'Small parts are a choking hazard. Keep them away from small children. Sew them on firmly and check them often.',
  hazard: 'small-part',
};
