/** An oval worked round both sides of a chain. */
export interface Oval {
  /** Stitches worked along each side of the chain. */
  side: number;
  /** Stitches more at the two ends together: 0 or 2 leaves no floor, 6 begins a flat one in single. */
  ends: number;
}

/** Stitches of the first round: `2s + x` (law, handbook 4.1). */
export function ovalStart({ side, ends }: Oval): number {
  return 2 * side + ends;
}

/**
 * Counts of the rounds of a flat oval floor: each adds `2h` to length and width, and `i` stitches (law, handbook 4.1).
 * @param each i, stitches more in each further round
 */
export function ovalCounts(oval: Oval, each: number, rounds: number): number[] {
  return Array.from({ length: rounds }, (_, index) => ovalStart(oval) + index * each);
}

/**
 * Floor rounds and chain for a floor: about `D / (2h)` rounds, and a chain of the floor's length less its depth (law,
 * handbook 4.1).
 *
 * @param length of the floor, mm
 * @param depth of the floor, mm
 * @param h round height and `w` stitch width, mm
 */
export function ovalFloor(length: number, depth: number, h: number, w: number): { rounds: number; side: number } {
  return { rounds: Math.max(1, Math.round(depth / (2 * h))), side: Math.max(1, Math.round((length - depth) / w)) };
}
