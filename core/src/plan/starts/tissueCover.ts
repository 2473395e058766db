import { boxAsks, type StartDefinition } from './definition';

export const tissueCover: StartDefinition = {
  id: 'tissue-cover',
  name: 'Tissue cover',
  says: 'a packet with a slit to pull from',
  asks: boxAsks([56, 105, 24]),
  plan: {
    thing: { kind: 'slab', name: 'tissues', soft: 0.2, charges: 'no' },
    shape: { kind: 'packet' },
    fit: { name: 'slides' },
    fittings: [],
  },
};
