import { boxAsks, type StartDefinition } from './definition';

export const glassesCase: StartDefinition = {
  id: 'glasses-case',
  name: 'Glasses case',
  says: 'a flap that closes with a snap',
  asks: boxAsks([54, 148, 34]),
  plan: {
    thing: { kind: 'spectacles', name: 'glasses' },
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'snap' }],
    low: [{ underMm: 60, fittings: [{ kind: 'flap' }] }],
  },
};
