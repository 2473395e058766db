import type { CautionDefinition } from './definition';

/** More than this at the hook is more than one sitting, minutes (prior, ours). */
const LONG_MINUTES = 150;

export const longSittings: CautionDefinition = {
  id: 'long-sittings',
  text: 'This is more than one sitting: rest your hands every half hour. Pain that stays is for a clinician.',
  applies: ({ minutes }) => minutes > LONG_MINUTES,
};
