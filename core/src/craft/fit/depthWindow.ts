/**
 * How far a thing may stand out of its cover before it counts as not covered: a twentieth of its height, 3 mm at the
 * least; under a flap, as far as the flap must reach at the least (handbook 3).
 */
const STANDS_OUT = { share: 0.05, leastMm: 3 } as const;

/** Deeper than was asked by more than a fifth of the thing, 15 mm at the least, and it drops out of reach (handbook 3). */
const TOO_DEEP = { share: 0.2, leastMm: 15 } as const;

/**
 * From what inside depth on a thing is covered, and up to what it is in reach, mm (handbook 3).
 *
 * @param height the thing's, and `cover` what was asked above it, mm: who asks for less wants the rest to stand out
 * @param underFlap how far a flap over it must reach at the least, mm
 */
export function depthWindow(height: number, cover: number, underFlap = 0): { least: number; most: number } {
  const out = Math.max(STANDS_OUT.leastMm, STANDS_OUT.share * height, underFlap, -cover + STANDS_OUT.leastMm);
  const over = Math.max(TOO_DEEP.leastMm, TOO_DEEP.share * height);
  return { least: height - out, most: height + Math.max(0, cover) + over };
}
