import type { Figure } from '../../base/figure';
import type { FitDefinition } from './fits';
import type { Sample } from './types';
import type { Wander } from './wander';
import type { Want } from './wants';

/** How a finished piece's inside follows from a sample, its counts being whole and fixed. */
export interface FitModel {
  /** Inside girth, mm. */
  girth: (sample: Sample) => number;
  /** Inside depth, mm. */
  depth: (sample: Sample) => number;
  /** How far the flap comes down the front, mm, where there is one, and the least it must. */
  flap?: { reach: (sample: Sample) => number; least: number };
  /** Its courses across the thing: their width wanders. Nothing where the girth runs along them. */
  wander?: Wander;
  /** Which way the stretch that lets the thing in runs. */
  stretch: number;
  /** What else is uncertain in it, by the names its formulas use: borders, other stitches. */
  also?: Readonly<Record<string, Figure>>;
  /** Where it has a room for each of several things. */
  rooms?: readonly Room[];
  /** What else it must do. */
  wants?: readonly Want[];
}

/** A room of its own within a piece: a channel, a pocket beside others. */
export interface Room {
  name: string;
  /** Its inside girth, mm. */
  inside: (sample: Sample) => number;
  /** The girth of what goes into it. */
  holds: Figure<'mm'>;
  /** Stretch that may be used for letting it in, as a fraction. */
  give: number;
}

export interface ChanceInputs {
  model: FitModel;
  fit: FitDefinition;
  /** Whether its piece is worked in turned rows or in rounds. */
  worked?: 'rows' | 'rounds';
  /** What was asked above the thing, mm. */
  cover?: number;
  /** What the piece is built from and holds, each with its spread, by the handbook's letters. */
  figures: { g: Figure<'mm'>; H: Figure<'mm'>; D: Figure<'mm'>; w: Figure<'mm'>; h: Figure<'mm'>; t: Figure<'mm'> };
  /** Where each of several things has a room of its own, it is those that must fit, not all of them together. */
  rooms?: readonly Room[];
  /** What else it must do: its own base, its strap. */
  wants?: readonly Want[];
}

/** The letters of the handbook, and whatever else a model names. */
export type InputName = string;
