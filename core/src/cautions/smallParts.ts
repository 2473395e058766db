import type { CautionDefinition } from './definition';

export const smallParts: CautionDefinition = {
  id: 'small-parts',
  text: 'Buttons, snaps, beads and bobbles come loose and can choke: not within reach of small children. Sew them on through and through, and look at them now and then.',
  hazard: 'small-part',
};
