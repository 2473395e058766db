import { cylinder } from './cylinder';
import type { PlanFault } from '../../base/figure';
import type { LengthUnit } from '../../base/units';
import type { Say, ThingDefinition, ThingSpec, WorkedThing } from './definition';
import { draftInUnits, draftOf as drafted, readDraft as readLines, type ReadDraft, type ThingDraft } from './draft';
import { loose } from './loose';
import { DEFAULT_METHOD, type Method } from './measure';
import type { ThingOutline } from './outline';
import { set } from './set';
import { slab } from './slab';
import { spectacles } from './spectacles';
import { tools } from './tools';

export * from './carrier';
export * from './definition';
export { blankDraft, type LinesDraft, type ReadDraft, type ThingDraft } from './draft';
export type { GoesWith } from './goesWith';
export { thingInChains, type InChains, type ThingForm } from './inChains';
export * from './hazards';
export * from './measure';
export * from './outline';
export { mixedUp } from './cylinder';

/** Every kind of thing. A new kind is a file of its own and a line here. */
export const THINGS: readonly ThingDefinition[] = [slab, spectacles, cylinder, tools, set, loose];

/** The kind of thing of an id; undefined where there is none. */
export function thingDefinition(kind: string): ThingDefinition | undefined {
  return THINGS.find((thing) => thing.id === kind);
}

const kindOf = (kind: string): ThingDefinition => thingDefinition(kind)!;

/** The kinds that may be members of a set: all that hold no others themselves. */
export function memberKinds(): readonly ThingDefinition[] {
  return THINGS.filter(({ holdsThings }) => !holdsThings);
}

/**
 * Faults of a thing that no single measure shows, each with its repair.
 * @param thing of a known kind, and of its form
 */
export function checkThing(thing: ThingSpec): PlanFault[] {
  return kindOf(thing.kind).check(thing, kindOf);
}

/**
 * What shapes need to know of a thing.
 * @param thing of a known kind, complete and without faults
 * @source handbook 1
 */
export function workThing(thing: ThingSpec): WorkedThing {
  return kindOf(thing.kind).work(thing, kindOf);
}

/** A draft in a house that uses another unit since it was typed. */
export const inUnits = (draft: ThingDraft, typedIn: LengthUnit, units: LengthUnit): ThingDraft =>
  draftInUnits(draft, typedIn, units, kindOf);

/** A thing as the lines it would be typed as. */
export function draftOf(thing: ThingSpec, units: LengthUnit): ThingDraft {
  return drafted(thing, units, kindOf);
}

/**
 * The typed lines as a thing, with what is wrong with each.
 * @param before the thing as it was last whole, for lines that cannot be used
 */
export function readDraft(draft: ThingDraft, units: LengthUnit, before?: ThingSpec): ReadDraft {
  return readLines(draft, units, kindOf, before);
}

/** What a thing measures, or null while it is not complete or does not go together. */
export function thingIfWhole(thing: ThingSpec): WorkedThing | null {
  if (!isComplete(thing) || checkThing(thing).length > 0) return null;
  return workThing(thing);
}

/** A thing's outline from the front; null while it is not complete. */
export function outlineOf(thing: ThingSpec): ThingOutline | null {
  const worked = thingIfWhole(thing);
  return worked && kindOf(thing.kind).outline(worked, thing, kindOf);
}

/** The sizes of a thing in a line, as they were given. */
export function sizesOf(thing: ThingSpec, say: Say): string {
  const worked = thingIfWhole(thing);
  return worked ? kindOf(thing.kind).inWords(worked, thing, say) : 'not measured yet';
}

/** Whether all that a thing's kind cannot be without is there. */
export function isComplete(thing: ThingSpec): boolean {
  const definition = thingDefinition(thing.kind);
  if (!definition) return false;
  const { measures, list, oneOf, holdsThings } = definition;
  const entries = list ? ((thing[list.key] as readonly object[] | undefined) ?? []) : [];
  const members = (thing.members as readonly ThingSpec[] | undefined) ?? [];
  return (
    measures.every(({ key, optional }) => optional || thing[key] !== undefined) &&
    (!oneOf || oneOf.some((key) => thing[key] !== undefined)) &&
    (!list || entries.length >= list.least) &&
    entries.every((entry) => list!.measures.every(({ key, optional }) => optional || key in entry)) &&
    (!holdsThings || (members.length > 0 && members.every(isComplete)))
  );
}

/** How a measure of a thing is taken unless it is said otherwise. */
export function usualMethod({ usually }: Pick<ThingDefinition, 'usually'>, key: string): Method {
  return usually?.[key] ?? DEFAULT_METHOD;
}

export * from './types';
