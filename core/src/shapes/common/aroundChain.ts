import { inOne, work, type Instruction } from '../../craft/fabric';

/**
 * The first round, along both sides of a chain (handbook 4.1, oval).
 * @param side stitches along each side
 * @param ends stitches more at the two ends together; of an odd number the second end has one more
 */
export function aroundChain(stitch: string, skipped: number, side: number, ends: number): Instruction[] {
  const along = (more: number): Instruction[] => {
    if (more === 0) return [work(stitch, side, 'chain')];
    const last = inOne(stitch, 1 + more, 'chain');
    return side > 1 ? [work(stitch, side - 1, 'chain'), last] : [last];
  };
  return [
    { do: 'skip', times: skipped, into: 'chain' },
    ...along(Math.floor(ends / 2)),
    { do: 'other-side', chains: side },
    ...along(Math.ceil(ends / 2)),
  ];
}
