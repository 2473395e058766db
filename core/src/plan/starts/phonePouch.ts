import { boxAsks, type StartDefinition } from './definition';

export const phonePouch: StartDefinition = {
  id: 'phone-pouch',
  name: 'Phone pouch',
  says: 'a flap, held by a button and a loop',
  asks: boxAsks([76, 158, 12]),
  plan: {
    thing: { kind: 'slab', name: 'phone' },
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 20 }],
    low: [
      { underMm: 45, fittings: [{ kind: 'flap' }] },
      { underMm: 65, fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 12 }] },
    ],
  },
};
