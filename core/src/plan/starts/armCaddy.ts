import { boxAsks, type StartDefinition } from './definition';

export const armCaddy: StartDefinition = {
  id: 'arm-caddy',
  name: 'Chair-arm caddy',
  says: 'a pocket on either side of the arm',
  asks: [
    { kind: 'length', at: 'carrier.width', usualMm: 90 },
    ...boxAsks([50, 180, 20], 'thing.members[0]', 'In front'),
    ...boxAsks([110, 150, 12], 'thing.members[1]', 'Behind'),
  ],
  plan: {
    thing: {
      kind: 'set',
      name: 'what the chair needs',
      members: [
        { kind: 'slab', name: 'remote control', charges: 'no' },
        { kind: 'slab', name: 'notebook', charges: 'no' },
      ],
    },
    carrier: { kind: 'bar', section: 'flat', dropFront: { mm: 100 }, dropBack: { mm: 100 } },
    shape: { kind: 'saddle', behind: 1 },
    fit: { name: 'slides' },
    fittings: [],
  },
};
