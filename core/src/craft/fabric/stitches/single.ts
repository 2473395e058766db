import { BASES } from './base';
import { fixed, plainPattern } from './plain';

/** Plain single crochet. Its turning chain is never a stitch, in either school (handbook 4). */
export const single = fixed(
  plainPattern({
    id: 'single',
    name: BASES.single.name,
    summary: 'Firm and even; for nearly everything.',
    base: 'single',
  }),
);
