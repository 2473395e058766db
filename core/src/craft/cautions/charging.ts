import type { CautionDefinition } from './definition';

export const charging: CautionDefinition = {
  id: 'charging',
  text: 'What is charged gets warm: take it out of its cover first.',
  hazard: 'charging',
};
