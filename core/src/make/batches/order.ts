import type { BatchRecord } from './batch';
import { workVariants, type WorkedVariant } from './totals';

/** A piece of a batch in the order of work. */
export interface BatchPiece {
  /** Its variant, and which of those alike it is, from 1. */
  variant: string;
  number: number;
  yarn: string;
  hookMm: number;
}

/**
 * The pieces in an order that changes hook and yarn as seldom as can be: of one hook those of one yarn, among them those that
 * ask for the same things; the next yarn begins with the size the last one ended with (handbook 7).
 */
export function batchOrder(batch: BatchRecord, all: readonly WorkedVariant[] = workVariants(batch)): BatchPiece[] {
  const byYarn = grouped(
    [...all].sort((a, b) => a.hookMm - b.hookMm),
    ({ hookMm, yarn }) => `${hookMm} ${yarn}`,
  );
  let before = '';
  return byYarn.flatMap((group) => {
    const bySize = grouped(group, wantsOf);
    const back = bySize.length > 1 && wantsOf(bySize.at(-1)![0]!) === before;
    const ordered = (back ? bySize.reverse() : bySize).flat();
    before = wantsOf(ordered.at(-1)!);
    return ordered.flatMap(({ variant, yarn, hookMm }) =>
      Array.from({ length: variant.count }, (_, index) => ({ variant: variant.id, number: index + 1, yarn, hookMm })),
    );
  });
}

/** What a piece asks for and how large it is: pieces alike in it are made one after the other. */
function wantsOf({ worked }: WorkedVariant): string {
  const notions = worked.supplies.notions.map(({ name, size, count }) => `${count} ${name} ${size ?? ''}`);
  return `${notions.join(',')} ${worked.pieces.map(({ stitches, rows }) => `${stitches}x${rows}`).join(',')}`;
}

/** Groups in the order their first member came. */
function grouped<T>(list: readonly T[], by: (one: T) => string): T[][] {
  const groups = new Map<string, T[]>();
  for (const one of list) groups.set(by(one), [...(groups.get(by(one)) ?? []), one]);
  return [...groups.values()];
}
