import { boxAsks, type StartDefinition } from './definition';

export const beltPouch: StartDefinition = {
  id: 'belt-pouch',
  name: 'Belt pouch',
  says: 'firm, in layers, worn on a belt',
  asks: boxAsks([52, 158, 16]),
  plan: {
    thing: { kind: 'slab', name: 'pliers', charges: 'no' },
    shape: { kind: 'layered' },
    fit: { name: 'slides' },
    fittings: [{ kind: 'flap' }],
  },
};
