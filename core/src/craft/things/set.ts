import { derive, measured, sum, type PlanFault } from '../../base/figure';
import {
  tooMany,
  type KindLookup,
  type PocketWant,
  type ThingDefinition,
  type ThingSpec,
  type WorkedThing,
} from './definition';
import type { Hazard } from './hazards';
import { besideOutline } from './outline';

const membersOf = (thing: ThingSpec): readonly ThingSpec[] => (thing.members as readonly ThingSpec[] | undefined) ?? [];

/** The pockets a member wants: one, or one for each tool. */
function wantsOf(member: ThingSpec, worked: WorkedThing, at: number): PocketWant[] {
  if (worked.wants) return [...worked.wants];
  return [
    {
      name: String(member.name ?? `thing ${at + 1}`),
      girth: worked.girth,
      height: worked.height.value,
      depth: worked.depth.value,
      sd: { height: worked.height.sd ?? 0, depth: worked.depth.sd ?? 0 },
      wide: worked.width.value,
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
function work(thing: ThingSpec, kindOf: KindLookup): WorkedThing {
  const members = membersOf(thing).map((spec) => {
    const definition = kindOf(spec.kind);
    return { spec, worked: definition.work(spec, kindOf) };
  });
  const wants = members.flatMap(({ spec, worked }, at) => wantsOf(spec, worked, at));
  const girth = sum(
    'mm',
    'g = sum of the girths of all that have a pocket',
    wants.map(({ name, girth: g }) => [name, g] as const),
  );
  const largest = (of: 'height' | 'depth', from: string) => {
    const want = wants.reduce((most, one) => (one[of] > most[of] ? one : most));
    return measured(want[of], 'mm', want.sd[of], from);
  };
  const mass = wants.reduce((total, { massG }) => total + massG, 0);
  return {
    profile: 'several',
    getsWet: members.some(({ worked }) => worked.getsWet),
    hazards: [...new Set<Hazard>(members.flatMap(({ worked }) => worked.hazards))],
    girth,
    height: largest('height', 'the tallest of them'),
    width: derive('mm', 'W = g / 2', { g: girth }, (v) => v.g / 2),
    depth: largest('depth', 'the thickest of them'),
    corner: 2,
    pockets: wants.length,
    wants,
    ...(mass > 0 ? { mass: measured(mass, 'g', 0.05 * mass, 'weighed') } : {}),
    advice: [],
  };
}

function check(thing: ThingSpec, kindOf: KindLookup): PlanFault[] {
  const members = membersOf(thing);
  const wrong = members.flatMap((member, index) =>
    kindOf(member.kind)
      .check(member, kindOf)
      .map(({ path, message }) => ({ path: `members[${index}].${path}`, message })),
  );
  if (wrong.length > 0) return wrong;
  const count = members.reduce(
    (total, member) => total + (kindOf(member.kind).work(member, kindOf).wants?.length ?? 1),
    0,
  );
  return tooMany(count, 'members');
}

export const set: ThingDefinition = {
  id: 'set',
  name: 'Several together',
  examples: 'notebook, phone and two pens; hooks and scissors',
  measures: [],
  holdsThings: true,
  profile: 'several',
  start: {
    word: 'Caddy',
    shape: { kind: 'strip-across' },
    fit: { name: 'slides' },
    fittings: [],
  },
  check,
  work,
  outline: (_worked, thing, kindOf) =>
    besideOutline(
      membersOf(thing).map((member) => {
        const definition = kindOf(member.kind);
        return definition.outline(definition.work(member, kindOf), member, kindOf);
      }),
    ),
  inWords: ({ pockets }) => `${pockets} things`,
};
