import { BASES, type BaseId } from './base';
import { work, type Instruction } from '../instruction';
import { placeBelow, type CourseContext } from './definition';

/** Chains skipped at the start of row 1 and whether they stand for its first stitch (handbook 4, foundation). */
export function foundationOf(base: BaseId, turningChainCounts: boolean): { skipped: number; counts: boolean } {
  const { skipped, neverCounts } = BASES[base];
  const counts = turningChainCounts && !neverCounts;
  return { skipped: counts ? skipped.counting : skipped.plain, counts };
}

/** A turning chain that is no stitch, of the height of a base stitch; into the foundation, the chains skipped. */
export function uncounted(base: BaseId, below: CourseContext['below']): Instruction {
  if (below === 'chain') return { do: 'skip', times: BASES[base].skipped.plain, into: 'chain' };
  const { chainsUp, neverCounts } = BASES[base];
  return { do: 'turning-chain', chains: neverCounts ? chainsUp : chainsUp - 1, counts: false };
}

/** A row of one stitch in each, by either school of the turning chain. */
export function plainRow(stitch: string, base: BaseId, context: CourseContext): Instruction[] {
  const { stitches, below, turningChainCounts } = context;
  const { counts, skipped } = foundationOf(base, turningChainCounts);
  const into = placeBelow(below);
  if (!counts) return [uncounted(base, below), work(stitch, stitches, into)];
  const start: Instruction[] =
    below === 'chain'
      ? [{ do: 'skip', times: skipped, into: 'chain', counts: true }]
      : [
          { do: 'turning-chain', chains: BASES[base].chainsUp, counts: true },
          { do: 'skip', times: 1, into: 'stitch' },
        ];
  return stitches > 1 ? [...start, work(stitch, stitches - 1, into)] : start;
}
