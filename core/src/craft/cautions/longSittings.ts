import type { CautionDefinition } from './definition';

export const longSittings: CautionDefinition = {
  id: 'long-sittings',
  text: 'This takes more than one sitting. Rest your hands every half hour. If pain does not go away, see a doctor.',
  hazard: 'long-work',
};
