import type { Figure, PlanFault, Advice } from '../figure';
import type { LengthField, NumberField } from '../units';
import type { Measure, Method } from './measure';

/** One of several in a list: measures, and plain numbers such as how many there are. */
export type ThingEntry = Record<string, Measure | number | string | undefined>;

/** A thing as a plan writes it: its kind, and what its kind asks for. */
export interface ThingSpec {
  kind: string;
  [key: string]: Measure | string | number | readonly ThingEntry[] | readonly ThingSpec[] | undefined;
}

/** A height of a round thing and how thick it is there, mm. */
export interface Station {
  name: string;
  height: number;
  diameter: number;
}

/** What wants a pocket of its own within a thing of several. All mm but the count. */
export interface PocketWant {
  name: string;
  /** Round it, across the way it goes in. */
  girth: Figure<'mm'>;
  height: number;
  depth: number;
  /** The narrowest part of it that could poke through, mm. */
  tip: number;
  massG: number;
  /** Whether it is a round tool, held in a channel. */
  tool: boolean;
}

/** What shapes need to know of a thing, whatever its kind. All mm. */
export interface WorkedThing {
  kind: string;
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
  /** What hangs in the finished piece, g. */
  mass?: Figure<'g'>;
  advice: readonly Advice[];
}

export type Measures = Record<string, Measure>;

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

export interface ThingDefinition {
  id: string;
  name: string;
  /** Everyday examples, to find the kind by. */
  examples: string;
  measures: readonly LengthField[];
  /** Plain numbers: grams, millilitres. */
  numbers?: readonly NumberField[];
  list?: ThingList;
  /** Whether it holds other things, each to have its own pocket. */
  holdsThings?: boolean;
  /** Of these measures one is needed; of several the last overrides. */
  oneOf?: readonly string[];
  /** How a measure is usually taken, where that is not with a ruler. */
  usually?: Readonly<Record<string, Method>>;
  /** Faults that no single measure shows; paths are relative to the thing. */
  check: (thing: ThingSpec) => PlanFault[];
  work: (thing: ThingSpec) => WorkedThing;
}
