import type { CautionDefinition } from './definition';

const PARTS = ['button-loop', 'buttonhole', 'snap', 'magnet', 'tabs', 'bobble'];

export const smallParts: CautionDefinition = {
  id: 'small-parts',
  text: 'Buttons, snaps, beads and bobbles come loose and can choke: not within reach of small children. Sew them on through and through, and look at them now and then.',
  applies: ({ fittings, plan }) => PARTS.some((kind) => fittings.has(kind)) || plan.shape.kind === 'saddle',
};
