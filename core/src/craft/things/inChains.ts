import type { ThingSpec } from './definition';

/** What an item counted in chains is: flat, or round. */
export type ThingForm = 'flat' | 'round';

/** An item as it was counted, in mm of the maker's own chains. */
export interface InChains {
  name: string;
  girth: number;
  height: number;
  /** Of a flat one, by eye. */
  depth: number;
}

const tenth = (mm: number) => Math.round(mm * 10) / 10;

/**
 * What was counted in chains as an item. A round one takes the girth as it is; a flat one is as wide as leaves its girth:
 * `W = g/2 − D`, from `g = 2(W + D)` (law, handbook 1). Lengths carry the spread of a string, a thickness that of the eye; one
 * thicker than a quarter of the girth is not flat and is held to that.
 * @returns all in mm, to a tenth
 */
export function thingInChains(form: ThingForm, { name, girth, height, depth }: InChains): ThingSpec {
  const chained = (mm: number) => ({ mm: tenth(mm), by: 'string' as const });
  if (form === 'round') return { kind: 'cylinder', name, girth: chained(girth), height: chained(height) };
  const thickness = Math.min(depth, girth / 4);
  return {
    kind: 'slab',
    name,
    width: chained(girth / 2 - thickness),
    height: chained(height),
    depth: { mm: tenth(thickness), by: 'eye' },
  };
}
