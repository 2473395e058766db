import type { CautionDefinition } from './definition';

export const cords: CautionDefinition = {
  id: 'cords-and-children',
  text: 'Straps, cords and drawstrings can strangle: keep them away from babies, small children, cots and beds. Keep loops short, and give whatever a child wears a join that comes apart when it is pulled.',
  hazard: 'cord',
};
