import type { CautionDefinition } from './definition';

export const glue: CautionDefinition = {
  id: 'glue',
  text: 'If you glue a tag, a magnet’s patch or a cord’s end: air the room, and let it dry before use.',
  hazard: 'glue',
};
