import { MEMBERS, thingDefinition, type Measure, type ThingSpec, type WorkedThing } from '@keep-snug/core';

/** What a thing looks like from the front, mm: its own outline, or those of all it holds beside each other. */
export interface ThingOutline {
  width: number;
  height: number;
  /** Outlines from the left, their bottoms level; the points run round from the bottom left. */
  parts: { x: number; points: readonly (readonly [number, number])[]; corner: number }[];
}

/** What a thing measures, or null while it is not complete or does not go together. */
export function workThing(thing: ThingSpec): WorkedThing | null {
  const definition = thingDefinition(thing.kind);
  if (!definition || !isComplete(thing)) return null;
  return definition.check(thing).length > 0 ? null : definition.work(thing);
}

/** Whether all that a thing's kind cannot be without is there. */
function isComplete(thing: ThingSpec): boolean {
  const definition = thingDefinition(thing.kind) ?? MEMBERS.find(({ id }) => id === thing.kind);
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

/** Beside each other in a set, or single tools in a roll, mm apart. */
const APART = 6;

/** A thing's outline; null while it is not complete. */
export function outlineOf(thing: ThingSpec): ThingOutline | null {
  const worked = workThing(thing);
  if (!worked) return null;
  if (thing.kind === 'set')
    return beside(
      (thing.members as readonly ThingSpec[]).map(outlineOf).filter((one): one is ThingOutline => one !== null),
    );
  if (worked.wants)
    return beside(worked.wants.map(({ depth, height, tip }) => box(depth, height, Math.min(depth, tip) / 2)));
  if (worked.stations) {
    const half = Math.max(...worked.stations.map(({ diameter }) => diameter)) / 2;
    const right = worked.stations.map(({ height, diameter }) => [half + diameter / 2, height] as const);
    const left = worked.stations.map(({ height, diameter }) => [half - diameter / 2, height] as const).reverse();
    return { width: 2 * half, height: worked.height.value, parts: [{ x: 0, points: [...right, ...left], corner: 0 }] };
  }
  return box(worked.width.value, worked.height.value, worked.corner);
}

function box(width: number, height: number, corner: number): ThingOutline {
  return {
    width,
    height,
    parts: [
      {
        x: 0,
        points: [
          [0, 0],
          [width, 0],
          [width, height],
          [0, height],
        ],
        corner,
      },
    ],
  };
}

function beside(list: readonly ThingOutline[]): ThingOutline {
  let x = 0;
  const parts = list.flatMap((one) => {
    const at = x;
    x += one.width + APART;
    return one.parts.map((part) => ({ ...part, x: part.x + at }));
  });
  return { width: Math.max(1, x - APART), height: Math.max(1, ...list.map(({ height }) => height)), parts };
}

/** The sizes of a thing in a line, as they were given. */
export function sizesOf(
  thing: ThingSpec,
  say: { length: (mm: number) => string; number: (mm: number) => string },
): string {
  const mm = (key: string) => (thing[key] as Measure | undefined)?.mm;
  const worked = workThing(thing);
  if (!worked) return 'not measured yet';
  if (thing.kind === 'set') return `${worked.pockets} things`;
  if (thing.kind === 'tools') return `${worked.wants!.length} tools to ${say.length(worked.height.value)}`;
  if (thing.kind === 'cylinder')
    return `${say.length(worked.width.value)} across, ${say.length(worked.height.value)} high`;
  const sizes = ['width', 'height', 'depth'].flatMap((key) => mm(key) ?? []);
  return `${sizes.slice(0, -1).map(say.number).join(' × ')} × ${say.length(sizes.at(-1) ?? 0)}`;
}
