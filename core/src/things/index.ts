import { cylinder } from './cylinder';
import type { Measures, ThingDefinition, ThingSpec } from './definition';
import { loose } from './loose';
import { DEFAULT_METHOD, type Measure, type Method } from './measure';
import { set } from './set';
import { slab } from './slab';
import { spectacles } from './spectacles';
import { tools } from './tools';

export * from './carrier';
export * from './definition';
export * from './measure';
export { MEMBERS } from './set';
export { mixedUp } from './cylinder';

/** Every kind of thing. A new kind is a file of its own and a line here. */
export const THINGS: readonly ThingDefinition[] = [slab, spectacles, cylinder, tools, set, loose];

export function thingDefinition(kind: string): ThingDefinition | undefined {
  return THINGS.find((thing) => thing.id === kind);
}

/** The measures of a thing by key, without its kind, name, numbers and lists. */
export function measuresOf(definition: ThingDefinition, thing: ThingSpec): Measures {
  const found: Measures = {};
  for (const { key } of definition.measures) {
    if (thing[key] !== undefined) found[key] = thing[key] as Measure;
  }
  return found;
}

/** How a measure of a thing is taken unless it is said otherwise. */
export function usualMethod({ usually }: Pick<ThingDefinition, 'usually'>, key: string): Method {
  return usually?.[key] ?? DEFAULT_METHOD;
}
