import type { CautionDefinition } from './definition';

export const charging: CautionDefinition = {
  id: 'charging',
  text: 'A phone gets warm while it charges: take it out of its cover.',
  hazard: 'charging',
};
