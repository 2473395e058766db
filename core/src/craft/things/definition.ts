import type { Figure, PlanFault, Advice } from '../../base/figure';
import type { ChoiceField, LengthField, NumberField } from '../../base/units';
import type { GoesWith } from './goesWith';
import type { Hazard } from './hazards';
import type { Measure, Method } from './measure';
import type { ThingOutline } from './outline';
import type { Station } from './types';

/** One of several in a list: measures, and plain numbers such as how many there are. */
export type ThingEntry = Record<string, Measure | number | string | undefined>;

/** A thing as a plan writes it: its kind, and what its kind asks for. */
export interface ThingSpec {
  kind: string;
  [key: string]: Measure | string | number | readonly ThingEntry[] | readonly ThingSpec[] | undefined;
}

/** What wants a pocket of its own within a thing of several. All mm but the count. */
export interface PocketWant {
  name: string;
  /** Round it, across the way it goes in. */
  girth: Figure<'mm'>;
  height: number;
  depth: number;
  /** Standard uncertainties of the two, mm. */
  sd: { height: number; depth: number };
  /** Across it as it lies. */
  wide: number;
  /** The narrowest part of it that could poke through, mm. */
  tip: number;
  massG: number;
  /** Whether it is a round tool, held in a channel. */
  tool: boolean;
}

/**
 * How a thing meets its cover, which is what a shape takes or does not: `flat` and `round` in section, `rods` side by
 * side, `several` each with a pocket, or a bag whose own size is `given`.
 */
export type Profile = 'flat' | 'round' | 'rods' | 'several' | 'given';

/** What shapes need to know of a thing, whatever its kind. All mm. */
export interface WorkedThing {
  profile: Profile;
  /** Whether it is wet or hot in use. */
  getsWet: boolean;
  hazards: readonly Hazard[];
  /** Round the thing, across the way it goes in. */
  girth: Figure<'mm'>;
  /** Along the way it goes in. */
  height: Figure<'mm'>;
  width: Figure<'mm'>;
  depth: Figure<'mm'>;
  /** Radius of the drawn outline's corners, mm. */
  corner: number;
  /** Pockets side by side that share the width: each has fabric round it. None for a bag of a given size. */
  pockets: number;
  /** What goes into each pocket, where there are several. */
  wants?: readonly PocketWant[];
  /** A round thing from the bottom up. */
  stations?: readonly Station[];
  /** Whether it gives way, as a packet of tissues does. */
  givesWay?: boolean;
  /** What hangs in the finished piece, g. */
  mass?: Figure<'g'>;
  advice: readonly Advice[];
}

/** Things in a list, each single one of several alike counted (handbook 4). */
const MOST_THINGS = 200;

/** Refuses a list of more single things than are reckoned here, at the list. */
export function tooMany(count: number, path: string): PlanFault[] {
  if (count <= MOST_THINGS) return [];
  return [
    { path, message: `${count} things are more than the ${MOST_THINGS} that can be calculated here. Remove some.` },
  ];
}

/** A list of alike entries within a thing: tools, heights of a bottle. */
export interface ThingList {
  key: string;
  label: string;
  /** What one entry is called. */
  one: string;
  help?: string;
  measures: readonly LengthField[];
  numbers: readonly NumberField[];
  least: number;
  most: number;
}

/** What a cover for a kind of thing usually begins as; everything can be changed. */
interface ThingStart {
  /** What such a cover is called. */
  word: string;
  shape: { kind: string };
  fit: { name: 'grips' | 'snug' | 'slides' | 'roomy' };
  fittings: readonly StartFitting[];
  /** Of what is lower than so much, mm: the first that it is. */
  low?: readonly { underMm: number; fittings: readonly StartFitting[] }[];
}

type StartFitting = { kind: string; [option: string]: string | number };

/** How a kind of thing is measured, drawn in a box of 100 by 100: the thing, and for each measure the way of the tape. */
export interface Sketch {
  outline: string;
  /** By measure; within a list, by `list.measure`. */
  tape: Readonly<Record<string, string>>;
}

/** Numbers in the reader's unit and form. */
export interface Say {
  length: (mm: number) => string;
  number: (mm: number) => string;
}

/** Finds the definition of a kind, for things that hold others. */
export type KindLookup = (kind: string) => ThingDefinition;

export interface ThingDefinition {
  id: string;
  name: string;
  profile: Profile;
  start: ThingStart;
  /** None for what is only a collection of others. */
  sketch?: Sketch;
  /** What usually goes with it, proposed where it is missing. */
  goesWith?: GoesWith;
  /** Everyday examples, to find the kind by. */
  examples: string;
  measures: readonly LengthField[];
  /** Plain numbers: grams, millilitres. */
  numbers?: readonly NumberField[];
  /** What is said of it by one of a few words. */
  choices?: readonly ChoiceField[];
  list?: ThingList;
  /** Whether it holds other things, each to have its own pocket. */
  holdsThings?: boolean;
  /** Of these measures one is needed; of several the last overrides. */
  oneOf?: readonly string[];
  /** Measures of one circle, across and round, which people mix up. */
  eitherWay?: { across: string; round: string };
  /** How a measure is usually taken, where that is not with a ruler. */
  usually?: Readonly<Record<string, Method>>;
  /** Faults that no single measure shows; paths are relative to the thing. */
  check: (thing: ThingSpec, kindOf: KindLookup) => PlanFault[];
  work: (thing: ThingSpec, kindOf: KindLookup) => WorkedThing;
  /** What it looks like from the front. */
  outline: (worked: WorkedThing, thing: ThingSpec, kindOf: KindLookup) => ThingOutline;
  /** Its sizes in a line. */
  inWords: (worked: WorkedThing, thing: ThingSpec, say: Say) => string;
}

/** The sizes of a flat thing as they were given: "78 × 164 × 14 mm". */
export function sizesInWords(_worked: WorkedThing, thing: ThingSpec, say: Say): string {
  const sizes = ['width', 'height', 'depth'].flatMap((key) => (thing[key] as Measure | undefined)?.mm || []);
  return `${sizes.slice(0, -1).map(say.number).join(' × ')} × ${say.length(sizes.at(-1) ?? 0)}`;
}
