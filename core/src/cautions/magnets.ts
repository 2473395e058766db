import type { CautionDefinition } from './definition';

export const magnets: CautionDefinition = {
  id: 'magnets',
  text: 'Two swallowed magnets are an emergency: get help at once. Keep magnets from implanted medical devices, bank cards, and the compass of some phones.',
  hazard: 'magnet',
};
