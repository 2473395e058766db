import { plural } from '../../base/units';
import { countedIn } from './countedIn';
import type { Instruction } from './instruction';
import type { StitchPattern } from './stitches';

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
    if (one.do !== 'group') return one;
    const stitches = one.parts.reduce((sum, part) => sum + ('stitch' in part ? part.count : 0), 0);
    // a space filled with stitches is no group of the pattern, though they share it
    const isOther =
      counted?.stitches !== undefined && stitches !== counted.stitches && one.parts.every((part) => 'stitch' in part);
    if (!counted?.loops && !isOther && !(aroundChain && one.into === 'chain')) return one;
    return { do: 'work', stitch: '', times: one.times * stitches, into: one.into };
  });
}

/** Whether a course leaves chains among its stitches, which are places too. */
export const hasChains = (instructions: readonly Instruction[]): boolean =>
  instructions.some(
    (one) =>
      one.do === 'chain' ||
      (one.do === 'group' && one.parts.some((part) => 'chains' in part)) ||
      (one.do === 'repeat' && hasChains(one.of)),
  );

/** What a straight piece is counted by, course after course: groups where its stitch has them, else stitches. */
export function countTold(stitches: number, instructions: readonly Instruction[], stitch: StitchPattern): string {
  const groups = stitch.counted ? countedWords(instructions, stitch) : null;
  return groups ?? plural(stitches, 'stitch', 'stitches');
}
