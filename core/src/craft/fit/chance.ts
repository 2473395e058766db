import { HAND_RHO, PIECE_STRAYS } from '../fabric';
import type { Figure } from '../../base/figure';
import { depthWindow } from './depthWindow';
import type { FitDefinition } from './fits';
import { normals, seeded } from './random';
import type { Want, WantId } from './wants';
import type { Sample } from './types';
import { narrowest, type Wander } from './wander';

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

/** What is measured of the thing errs by so much; all else are scales, larger or smaller by a factor (handbook 3). */
const MEASURES: ReadonlySet<string> = new Set(['g', 'H', 'D', 'loop']);

/** What is not of the hand: the fabric's thickness comes from the yarn, a strap's growth from its load. */
const NOT_OF_HAND: ReadonlySet<string> = new Set(['t', 'grows', 'loop']);

/** Whether an input is the hand's doing: the size of a stitch or of what is made of stitches. */
export const isOfHand = (name: InputName): boolean => !MEASURES.has(name) && !NOT_OF_HAND.has(name);

export interface Tally {
  draws: number;
  fits: number;
  tight: number;
  loose: number;
  short: number;
  deep: number;
  /** It fits, but its base does not suit its wall; or its strap does not reach. */
  base: number;
  strap: number;
  /** The share of draws that fit, 0 to 1. */
  share: number;
  /** Inside girth against the thing's: mean and spread of the ratio, for the picture. */
  ratio: { mean: number; sd: number };
  /** The window of ratios in which the thing goes in and stays; no upper end where it cannot be loose. */
  window: { from: number; to: number | null };
}

export const DRAWS = 20_000;

/** The window of `inside girth / g` in which a thing goes in and stays (handbook 3). */
export function fitWindow(fit: FitDefinition, stretch: number, use = fit.useOfStretch): { from: number; to: number } {
  return { from: 1 / (1 + use * stretch), to: 1 + fit.slack };
}

/**
 * The chance of fit: samples every size from its spread, builds the inside from the whole counts, and asks of each
 * whether the thing goes in, stays, is covered, and whether the flap reaches (handbook 3).
 *
 * @param inputs the model of the finished piece and the spreads of what it is built from
 * @param seed the same seed gives the same answer
 * @param spreads standard uncertainties to use instead, for asking what a better measure would do
 */
export function chanceOfFit(
  inputs: ChanceInputs,
  seed: number,
  draws = DRAWS,
  spreads: Partial<Record<InputName, number>> = {},
): Tally {
  const { model, fit } = inputs;
  const figures = inputsOf(inputs);
  const names = Object.keys(figures);
  const uniform = seeded(seed);
  // every input has its own numbers whether or not it varies, so that answers to different questions can be compared
  const noise = names.map(() => normals(draws, uniform));
  const sds = names.map((name) => spreads[name] ?? figures[name]!.sd ?? 0);
  const means = names.map((name) => figures[name]!.value);
  const hand = handOf(names, figures, sds, draws, uniform);
  const use = model.wander ? fit.useAtNarrowest : fit.useOfStretch;
  const { from, to } = inputs.rooms?.length ? { from: 1, to: Infinity } : fitWindow(fit, model.stretch, use);
  const narrow = narrowOf(inputs, seed);
  const ratioOf = inputs.rooms?.length
    ? roomsRatio(inputs.rooms, seeded(seed ^ 0x5bd1e995), spreads)
    : wholeRatio(model);
  const sample = Object.fromEntries(names.map((name, index) => [name, means[index]!])) as Sample;
  const tally = { tight: 0, loose: 0, short: 0, deep: 0, base: 0, strap: 0, sum: 0, square: 0 };
  for (let index = 0; index < draws; index += 1) {
    for (let input = 0; input < names.length; input += 1)
      sample[names[input]!] = sampled(
        names[input]!,
        means[input]!,
        sds[input]!,
        hand(input, noise[input]![index]!, index),
      );
    const ratio = ratioOf(sample) * narrow();
    tally.sum += ratio;
    tally.square += ratio * ratio;
    if (ratio < from) tally.tight += 1;
    else if (ratio > to) tally.loose += 1;
    else {
      const missed = depthMissed(inputs, sample) ?? wantMissed(inputs, sample);
      if (missed) tally[missed] += 1;
    }
  }
  const { tight, loose, short, deep, base, strap } = tally;
  const mean = tally.sum / draws;
  const fits = draws - tight - loose - short - deep - base - strap;
  return {
    draws,
    fits,
    tight,
    loose,
    short,
    deep,
    base,
    strap,
    share: fits / draws,
    ratio: { mean, sd: Math.sqrt(Math.max(0, tally.square / draws - mean * mean)) },
    window: { from, to: Number.isFinite(to) ? to : null },
  };
}

/** All that is drawn for a plan: the six letters, and what its model names besides. */
export function inputsOf({ figures, model, wants = [] }: ChanceInputs): Readonly<Record<InputName, Figure>> {
  return Object.assign({}, figures, model.also, ...wants.map(({ also }) => also)) as Record<InputName, Figure>;
}

/**
 * What one hand makes strays together: each such input is part its own noise and part the hand's. Of what was measured only
 * the piece's own straying is shared, since two readings of a tape know nothing of each other. Where one alone varies it keeps
 * its own numbers, evenly laid.
 */
function handOf(
  names: readonly InputName[],
  figures: Readonly<Record<InputName, Figure>>,
  sds: readonly number[],
  draws: number,
  uniform: () => number,
): (input: number, own: number, index: number) => number {
  const shares = names.map((name, index) => (sds[index]! > 0 ? sharedPart(name, figures[name]!, sds[index]!) : 0));
  if (shares.filter((share) => share > 0).length < 2) return (_input, own) => own;
  const common = normals(draws, uniform);
  const together = shares.map(Math.sqrt);
  const apart = shares.map((share) => Math.sqrt(1 - share));
  return (input, own, index) => together[input]! * common[index]! + apart[input]! * own;
}

/** How much of an input's variance it shares with all else that the hand makes, 0 to 1. */
function sharedPart(name: InputName, { value, kind }: Figure, sd: number): number {
  if (!isOfHand(name)) return 0;
  const strays = kind === 'measured' ? Math.min(1, (PIECE_STRAYS * value) ** 2 / sd ** 2) : 1;
  return HAND_RHO * strays;
}

/** How narrow its narrowest stretch is against its mean, drawn for one piece after another. */
function narrowOf({ model, figures }: ChanceInputs, seed: number): () => number {
  if (!model.wander) return () => 1;
  const strays = narrowest(model.wander, figures.h.value);
  const uniform = seeded(seed ^ 0x2545f491);
  return () => 1 + strays[Math.floor(uniform() * strays.length)]!;
}

const wholeRatio =
  ({ girth }: FitModel) =>
  (sample: Sample): number =>
    girth(sample) / sample.g;

/** How much of what it needs the narrowest room has, its give used: each thing's own girth is drawn once. */
function roomsRatio(
  rooms: readonly Room[],
  uniform: () => number,
  spreads: Partial<Record<InputName, number>>,
): (sample: Sample) => number {
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const thing = (sd = 0) => Math.min(sd, spreads.g ?? sd);
  return (sample) => {
    let least = Infinity;
    for (const { inside, holds, give } of rooms) {
      const girth = Math.max(1e-6, holds.value + thing(holds.sd) * normal());
      least = Math.min(least, (inside(sample) * (1 + give)) / girth);
    }
    return least;
  };
}

/** The first of its other wants that it does not meet. */
const wantMissed = ({ wants = [] }: ChanceInputs, sample: Sample): WantId | undefined =>
  wants.find(({ met }) => !met(sample))?.id;

/** What a finished piece misses where everything comes out as planned: the first of all it must do but its count. */
export function missedAsPlanned(inputs: ChanceInputs): 'short' | 'deep' | WantId | undefined {
  const middle = Object.fromEntries(
    Object.entries(inputsOf(inputs)).map(([name, { value }]) => [name, value]),
  ) as Sample;
  return depthMissed(inputs, middle) ?? wantMissed(inputs, middle);
}

/** Scales are sampled lognormal, so that none is ever negative; measures normal. */
function sampled(name: string, mean: number, sd: number, z: number): number {
  if (sd === 0) return mean;
  if (MEASURES.has(name)) return Math.max(1e-6, mean + sd * z);
  return mean * Math.exp((sd / mean) * z);
}

/** Whether it does not cover, its flap does not reach, or it is too deep. */
function depthMissed({ model, cover = 0 }: ChanceInputs, sample: Sample): 'short' | 'deep' | undefined {
  const { least, most } = depthWindow(sample.H, cover, model.flap?.least);
  const depth = model.depth(sample);
  if (depth < least) return 'short';
  if (model.flap !== undefined && model.flap.reach(sample) < model.flap.least) return 'short';
  return depth > most ? 'deep' : undefined;
}
