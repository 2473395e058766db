import { boxAsks, type StartDefinition } from './definition';

export const groupPurse: StartDefinition = {
  id: 'group-purse',
  name: 'Purse of groups',
  says: 'lacy groups of three, with a flap',
  asks: boxAsks([95, 130, 18]),
  plan: {
    thing: { kind: 'slab', name: 'small things', charges: 'no' },
    shape: { kind: 'cluster-panels' },
    fit: { name: 'roomy' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 18 }],
    stitch: 'cluster',
  },
};
