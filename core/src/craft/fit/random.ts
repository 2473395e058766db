import { phi } from '../../base/figure';

export { seeded } from '../../base/figure';

const evenly = new Map<number, Float64Array>();

/**
 * The middles of `count` slices of the standard normal, each as likely as the next (law: the inverse of its share,
 * found by Newton's steps from the middle outwards; good to the fourth place).
 */
function normalSlices(count: number): Float64Array {
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
