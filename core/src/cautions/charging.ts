import type { Measure } from '../things';
import type { CautionDefinition } from './definition';

/** What has the size of a phone, mm: width, height, depth (prior, ours). */
const PHONE = { width: [55, 95], height: [110, 190], depth: [4, 22] } as const;

export const charging: CautionDefinition = {
  id: 'charging',
  text: 'A phone gets warm while it charges: take it out of its cover.',
  applies: ({ plan: { thing } }) =>
    thing.kind === 'slab' &&
    Object.entries(PHONE).every(([key, [low, high]]) => {
      const mm = (thing[key] as Measure | undefined)?.mm ?? 0;
      return mm >= low && mm <= high;
    }),
};
