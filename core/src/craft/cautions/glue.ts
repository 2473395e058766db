import type { CautionDefinition } from './definition';

export const glue: CautionDefinition = {
  id: 'glue',
  text: 'If you use glue, open a window and let it dry fully before use.',
  hazard: 'glue',
};
