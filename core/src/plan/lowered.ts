import { mmOf, type ThingSpec } from '../craft/things';

/** What a cover begins with, and what one of something low has instead. */
interface Begun<F> {
  fittings?: readonly F[];
  /** Of what is lower than so much, mm: the first that it is. */
  low?: readonly { underMm: number; fittings: readonly F[] }[];
}

/** The fittings a cover of a thing begins with: what is low gets a smaller button, or none (prior, handbook 6). */
export function firstFittings<F>({ fittings = [], low = [] }: Begun<F>, thing: ThingSpec): F[] {
  const height = mmOf(thing, 'height');
  const lower = low.find(({ underMm }) => height !== undefined && height < underMm);
  return [...(lower?.fittings ?? fittings)];
}
