/**
 * Chance from a seed: the same seed gives the same numbers everywhere (mulberry32; its period of 2^32 is ample for a
 * hundred thousand samples of ten numbers).
 *
 * @returns a function that gives the next number from 0 up to 1
 */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 15), z | 1);
    z ^= z + Math.imul(z ^ (z >>> 7), z | 61);
    return ((z ^ (z >>> 14)) >>> 0) / 4294967296;
  };
}
