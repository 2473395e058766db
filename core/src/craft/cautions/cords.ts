import type { CautionDefinition } from './definition';

export const cords: CautionDefinition = {
  id: 'cords-and-children',
  text: 'Straps, cords and drawstrings can strangle. Keep them away from babies, small children, cots and beds. Keep loops short. Use a breakaway clasp on anything a child wears.',
  hazard: 'cord',
};
