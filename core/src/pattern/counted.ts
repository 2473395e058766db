import { countedIn, type Instruction, type StitchPattern } from '../craft/fabric';
import { plural } from '../base/units';

/**
 * What a row or round leaves on the needle of the eye: "9 Vs and 2 stitches". Columns are for reckoning; nobody counts them.
 *
 * @returns nothing where there is nothing but stitches to count
 */
export function countedWords(instructions: readonly Instruction[], { counted }: StitchPattern): string | null {
  // of plain stitches alone there is nothing else to count
  if (!counted && !instructions.some(({ do: what }) => what === 'chain' || what === 'repeat')) return null;
  const { stitches, others, chains } = countedIn(withoutIncreases(instructions, counted));
  const groups = counted && others > 0 ? [plural(others, counted.one, counted.many)] : [];
  if (groups.length === 0 && chains === 0) return null;
  const plain = stitches > 0 ? [plural(stitches, 'stitch', 'stitches')] : [];
  return [...groups, ...plain, ...(chains > 0 ? [plural(chains, 'chain')] : [])].join(' and ');
}

/** Several stitches in one place are an increase, not what the pattern is counted by: round the ends of a chain, and in loops. */
function withoutIncreases(
  instructions: readonly Instruction[],
  counted: StitchPattern['counted'],
): readonly Instruction[] {
  const aroundChain = instructions.some(({ do: what }) => what === 'other-side');
  return instructions.map((one): Instruction => {
    if (one.do === 'repeat') return { ...one, of: withoutIncreases(one.of, counted) };
    if (one.do !== 'group' || !(counted?.loops || (aroundChain && one.into === 'chain'))) return one;
    const stitches = one.parts.reduce((sum, part) => sum + ('stitch' in part ? part.count : 0), 0);
    return { do: 'work', stitch: '', times: one.times * stitches, into: one.into };
  });
}
