import { OVAL } from '../../../craft/fabric';
import type { Technique } from '../definition';
import { through } from '../moves';

/** A loop drawn through a loop: what pieces begin on, and what brings the hook up to a row’s height (handbook 14). */
export const chain: Technique = {
  id: 'chain',
  family: 'stitch',
  everyday: true,
  name: 'chain',
  abbreviation: 'ch',
  symbol: OVAL,
  what: 'A loop drawn through a loop: what pieces begin on, and what brings the hook up to a row’s height.',
  moves: [through(1)],
  looks: 'A row of Vs, all as wide as each other, with a bump behind each.',
  mistake: {
    text: 'Chains that tighten towards the end make an edge that draws in.',
    repair: 'Chain over the thick part of the hook, or with a hook one size larger for the chain alone.',
  },
  words: ['chain', 'chains', 'chaining', 'chained'],
};
