import { boxAsks, type StartDefinition } from './definition';

export const notebookWrap: StartDefinition = {
  id: 'notebook-wrap',
  name: 'Notebook wrap',
  says: 'ribs run up it, a flap covers the top',
  asks: boxAsks([105, 148, 14]),
  plan: {
    thing: { kind: 'slab', name: 'notebook', charges: 'no' },
    shape: { kind: 'strip-along' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }],
  },
};
