import { boxAsks, type StartDefinition } from './definition';

export const glassesSleeve: StartDefinition = {
  id: 'glasses-sleeve',
  name: 'Glasses sleeve',
  says: 'open at the top: it grips what is in it',
  asks: boxAsks([54, 148, 34]),
  plan: {
    thing: { kind: 'spectacles', name: 'glasses' },
    shape: { kind: 'ring-tube' },
    fit: { name: 'grips' },
    fittings: [],
  },
};
