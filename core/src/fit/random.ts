import { phi } from '../figure';

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

const evenly = new Map<number, Float64Array>();

/**
 * The middles of `count` slices of the standard normal, each as likely as the next (law: the inverse of its share,
 * found by Newton's steps from the middle outwards; good to the fourth place).
 */
export function normalSlices(count: number): Float64Array {
  const before = evenly.get(count);
  if (before) return before;
  const slices = new Float64Array(count);
  let z = 0;
  for (let index = Math.floor(count / 2); index < count; index += 1) {
    const below = (index + 0.5) / count;
    for (let step = 0; step < 3; step += 1) z += ((below - phi(z)) * Math.sqrt(2 * Math.PI)) / Math.exp((-z * z) / 2);
    slices[index] = z;
    slices[count - 1 - index] = -z;
  }
  evenly.set(count, slices);
  return slices;
}

/**
 * Standard normal numbers, one from each of `count` equally likely slices, in a random order: where one size alone
 * varies, the share of draws that fit is right to one draw, and with several far better than with loose throws
 * (law: Latin hypercube sampling).
 * @param count how many
 */
export function normals(count: number, uniform: () => number): Float64Array {
  const drawn = Float64Array.from(normalSlices(count));
  for (let index = count - 1; index > 0; index -= 1) {
    const other = Math.floor(uniform() * (index + 1));
    const kept = drawn[index]!;
    drawn[index] = drawn[other]!;
    drawn[other] = kept;
  }
  return drawn;
}
