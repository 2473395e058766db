import type { GroupPart, Instruction, StitchPattern } from '../fabric';
import { plural } from '../units';

interface Count {
  stitches: number;
  /** Groups in one place, loops and holes. */
  others: number;
  /** Chains to be worked into one by one. */
  chains: number;
}

const NONE: Count = { stitches: 0, others: 0, chains: 0 };

/**
 * What a row or round leaves on the needle of the eye: "9 Vs and 2 stitches". Columns are for reckoning; nobody counts them.
 *
 * @returns nothing where there is nothing but stitches to count
 */
export function countedWords(instructions: readonly Instruction[], { counted }: StitchPattern): string | null {
  // of plain stitches alone there is nothing else to count
  if (!counted && !instructions.some(({ do: what }) => what === 'chain' || what === 'repeat')) return null;
  const { stitches, others, chains } = total(instructions);
  const groups = counted && others > 0 ? [plural(others, counted.one, counted.many)] : [];
  if (groups.length === 0 && chains === 0) return null;
  const plain = stitches > 0 ? [plural(stitches, 'stitch', 'stitches')] : [];
  return [...groups, ...plain, ...(chains > 0 ? [plural(chains, 'chain')] : [])].join(' and ');
}

function total(instructions: readonly Instruction[]): Count {
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
      const { stitches, others, chains } = total(one.of);
      return { stitches: one.times * stitches, others: one.times * others, chains: one.times * chains };
    }
    default:
      return NONE;
  }
}
