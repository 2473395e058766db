import type { CautionDefinition } from './definition';

export const magnets: CautionDefinition = {
  id: 'magnets',
  text: 'Keep magnets away from children. If anyone swallows one, get emergency medical help at once. Keep magnets away from pacemakers and other implants, bank cards and compasses.',
  hazard: 'magnet',
};
