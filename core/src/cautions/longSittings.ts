import type { CautionDefinition } from './definition';

export const longSittings: CautionDefinition = {
  id: 'long-sittings',
  text: 'This is more than one sitting: rest your hands every half hour. Pain that stays is for a clinician.',
  hazard: 'long-work',
};
