import type { GroupPart, Instruction } from './instruction';

/** What people count of a row: single stitches, groups in one place with loops and holes, chains to be worked into. */
export interface Count {
  stitches: number;
  /** Groups in one place, loops and holes. */
  others: number;
  /** Chains to be worked into one by one. */
  chains: number;
}

const NONE: Count = { stitches: 0, others: 0, chains: 0 };

/** What people count of a row; columns are for reckoning, and nobody counts them. */
export function countedIn(instructions: readonly Instruction[]): Count {
  return instructions.map(countOf).reduce(add, NONE);
}

const add = (a: Count, b: Count): Count => ({
  stitches: a.stitches + b.stitches,
  others: a.others + b.others,
  chains: a.chains + b.chains,
});

const someStitches = (stitches: number): Count => ({ ...NONE, stitches });

/** Groups that stand in one place: two of a corner, a V as one. */
const groupsIn = (parts: readonly GroupPart[]): number =>
  Math.max(1, parts.filter((part) => 'stitch' in part && part.count > 1).length);

function countOf(one: Instruction): Count {
  switch (one.do) {
    case 'work':
    case 'together':
    case 'both-layers':
      return someStitches(one.times);
    case 'turning-chain':
    case 'skip':
      return someStitches(one.counts ? 1 : 0);
    case 'chain':
      return one.as === 'chains' ? { ...NONE, chains: one.chains } : { ...NONE, others: 1 };
    case 'group':
      return { ...NONE, others: one.times * groupsIn(one.parts) };
    case 'close-loop':
      return { ...NONE, others: 1 };
    case 'repeat': {
      const { stitches, others, chains } = countedIn(one.of);
      return { stitches: one.times * stitches, others: one.times * others, chains: one.times * chains };
    }
    default:
      return NONE;
  }
}
