import { boxAsks, type StartDefinition } from './definition';

export const soapBag: StartDefinition = {
  id: 'soap-bag',
  name: 'Soap bag',
  says: 'drawn shut over a bar of soap',
  asks: boxAsks([62, 88, 28]),
  plan: {
    thing: { kind: 'slab', name: 'soap', charges: 'no' },
    shape: { kind: 'round-chain' },
    fit: { name: 'roomy' },
    fittings: [{ kind: 'drawstring' }],
    stitch: 'half-double',
  },
};
