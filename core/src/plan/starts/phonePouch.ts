import { slab } from '../../craft/things/slab';
import { boxAsks, type StartDefinition } from './definition';

const { shape, fit, fittings, low } = slab.start;

/** Begun as covers of flat things are. */
export const phonePouch: StartDefinition = {
  id: 'phone-pouch',
  name: 'Phone pouch',
  says: 'a flap, held by a button and a loop',
  asks: boxAsks([76, 158, 12]),
  plan: { thing: { kind: 'slab', name: 'phone', charges: 'yes' }, shape, fit, fittings, low },
};
