import { bagAsks } from './giftBag';
import type { StartDefinition } from './definition';

export const shoppingTote: StartDefinition = {
  id: 'shopping-tote',
  name: 'Shopping tote',
  says: 'two handles worked in',
  asks: bagAsks(340, 360),
  plan: {
    thing: { kind: 'loose', name: 'shopping' },
    shape: { kind: 'round-chain' },
    fit: { name: 'roomy' },
    fittings: [{ kind: 'handles' }],
  },
};
