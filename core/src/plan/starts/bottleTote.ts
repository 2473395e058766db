import { roundAsks } from './bottleSling';
import type { StartDefinition } from './definition';

export const bottleTote: StartDefinition = {
  id: 'bottle-tote',
  name: 'Bottle tote',
  says: 'a handle over the top, worked on',
  asks: roundAsks(240, 230),
  plan: {
    thing: { kind: 'cylinder', name: 'bottle' },
    shape: { kind: 'disc-wall' },
    fit: { name: 'slides' },
    fittings: [{ kind: 'tongue-handle' }],
  },
};
