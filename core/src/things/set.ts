import { derive, measured, type Figure, type PlanFault } from '../figure';
import { cylinder } from './cylinder';
import type { PocketWant, ThingDefinition, ThingSpec, WorkedThing } from './definition';
import { loose } from './loose';
import { slab } from './slab';
import { spectacles } from './spectacles';
import { tools } from './tools';

/** What may be a member of a set: anything but another set. */
export const MEMBERS: readonly ThingDefinition[] = [slab, spectacles, cylinder, tools, loose];

const membersOf = (thing: ThingSpec): readonly ThingSpec[] => (thing.members as readonly ThingSpec[] | undefined) ?? [];

const definitionOf = (member: ThingSpec): ThingDefinition => MEMBERS.find(({ id }) => id === member.kind)!;

/** The pockets a member wants: one, or one for each tool. */
function wantsOf(member: ThingSpec): PocketWant[] {
  const worked = definitionOf(member).work(member);
  if (worked.wants) return [...worked.wants];
  return [
    {
      name: String(member.name ?? definitionOf(member).name.toLowerCase()),
      girth: worked.girth,
      height: worked.height.value,
      depth: worked.depth.value,
      tip: worked.width.value,
      massG: Number(member.massG ?? worked.mass?.value ?? 0),
      tool: false,
    },
  ];
}

/**
 * Several things, each in its own pocket beside the others. Between two flat layers a pocket is half its worked girth
 * wide, so that the set is as wide as half the sum of its members' girths, each with its own ease and fabric (law,
 * handbook 1).
 */
function work(thing: ThingSpec): WorkedThing {
  const wants = membersOf(thing).flatMap(wantsOf);
  const sum = (of: (want: PocketWant) => number) => wants.reduce((total, want) => total + of(want), 0);
  const girth: Figure<'mm'> = {
    ...measured(
      sum(({ girth: g }) => g.value),
      'mm',
      Math.hypot(...wants.map(({ girth: g }) => g.sd ?? 0)),
      'round each of them, together',
    ),
    workings: {
      formula: 'g = sum of the girths of all that have a pocket',
      terms: wants.map(({ name, girth: g }) => ({
        name,
        value: g.value,
        unit: 'mm' as const,
        ...(g.sd ? { sd: g.sd } : {}),
        kind: g.kind,
        from: g.workings.formula,
      })),
    },
  };
  const largest = (of: (want: PocketWant) => number, from: string) =>
    measured(Math.max(...wants.map(of)), 'mm', 1, from);
  const mass = sum(({ massG }) => massG);
  return {
    kind: 'set',
    girth,
    height: largest(({ height }) => height, 'the tallest of them'),
    width: derive('mm', 'W = g / 2', { g: girth }, (v) => v.g / 2),
    depth: largest(({ depth }) => depth, 'the thickest of them'),
    corner: 2,
    pockets: wants.length,
    wants,
    ...(mass > 0 ? { mass: measured(mass, 'g', 0.05 * mass, 'weighed') } : {}),
    advice: [],
  };
}

function check(thing: ThingSpec): PlanFault[] {
  return membersOf(thing).flatMap((member, index) =>
    definitionOf(member)
      .check(member)
      .map(({ path, message }) => ({ path: `members[${index}].${path}`, message })),
  );
}

export const set: ThingDefinition = {
  id: 'set',
  name: 'Several together',
  examples: 'notebook, phone and two pens; hooks and scissors',
  measures: [],
  holdsThings: true,
  check,
  work,
};
