import type { Instruction, StitchPattern } from '../fabric';
import { plural } from '../units';

interface Count {
  stitches: number;
  /** Groups in one place, loops and holes. */
  others: number;
}

const NONE: Count = { stitches: 0, others: 0 };

/**
 * What a row or round leaves on the needle of the eye: "9 Vs and 2 stitches". Columns are for reckoning; nobody counts them.
 *
 * @returns nothing where there is nothing but stitches to count
 */
export function countedWords(instructions: readonly Instruction[], { counted }: StitchPattern): string | null {
  if (!counted) return null;
  const { stitches, others } = total(instructions);
  if (others === 0) return null;
  const groups = plural(others, counted.one, counted.many);
  return stitches === 0 ? groups : `${groups} and ${plural(stitches, 'stitch', 'stitches')}`;
}

function total(instructions: readonly Instruction[]): Count {
  return instructions.map(countOf).reduce(add, NONE);
}

const add = (a: Count, b: Count): Count => ({ stitches: a.stitches + b.stitches, others: a.others + b.others });

function countOf(one: Instruction): Count {
  switch (one.do) {
    case 'work':
    case 'together':
      return { stitches: one.times, others: 0 };
    case 'turning-chain':
      return { stitches: one.counts ? 1 : 0, others: 0 };
    case 'skip':
      return { stitches: one.counts ? 1 : 0, others: 0 };
    case 'group':
    case 'chain':
      return { stitches: 0, others: one.do === 'group' ? one.times : 1 };
    case 'repeat': {
      const { stitches, others } = total(one.of);
      return { stitches: one.times * stitches, others: one.times * others };
    }
    default:
      return NONE;
  }
}
