import type { Figure } from '../figure';
import type { FitDefinition } from './fits';
import { normals, seeded } from './random';

/** One sample of all that is uncertain: girth, height and depth of the thing, stitch, row and fabric thickness; all mm. */
export interface Sample {
  g: number;
  H: number;
  D: number;
  w: number;
  h: number;
  t: number;
  /** Ways the finished inside follows from a sample may name more; they stay as they are. */
  [name: string]: number;
}

/** How a finished piece's inside follows from a sample, its counts being whole and fixed. */
export interface FitModel {
  /** Inside girth, mm. */
  girth: (sample: Sample) => number;
  /** Inside depth, mm. */
  depth: (sample: Sample) => number;
  /** How far the flap comes down the front, mm, where there is one, and the least it must. */
  flap?: { reach: (sample: Sample) => number; least: number };
  /** Which way the stretch that lets the thing in runs. */
  stretch: number;
}

export interface ChanceInputs {
  model: FitModel;
  fit: FitDefinition;
  /** What the piece is built from and holds, each with its spread, by the handbook's letters. */
  figures: { g: Figure<'mm'>; H: Figure<'mm'>; D: Figure<'mm'>; w: Figure<'mm'>; h: Figure<'mm'>; t: Figure<'mm'> };
}

export type InputName = keyof ChanceInputs['figures'];

/** Scales can only be larger or smaller by a factor; measures err by so much (handbook 3). */
const SCALES: ReadonlySet<string> = new Set(['w', 'h', 't']);

/**
 * How far a thing may stand out of its cover before it counts as not covered: a twentieth of its height, 3 mm at the
 * least; under a flap, as far as the flap must reach at the least (prior, ours).
 */
const STANDS_OUT = { share: 0.05, leastMm: 3 } as const;

export interface Tally {
  draws: number;
  fits: number;
  tight: number;
  loose: number;
  short: number;
  /** The share of draws that fit, 0 to 1. */
  share: number;
  /** Inside girth against the thing's: mean and spread of the ratio, for the picture. */
  ratio: { mean: number; sd: number };
  /** The window of ratios in which the thing goes in and stays; no upper end where it cannot be loose. */
  window: { from: number; to: number | null };
}

export const DRAWS = 20_000;

/** The window of `inside girth / g` in which a thing goes in and stays (handbook 3). */
export function fitWindow(fit: FitDefinition, stretch: number): { from: number; to: number } {
  return { from: 1 / (1 + fit.useOfStretch * stretch), to: 1 + fit.slack };
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
  { model, fit, figures }: ChanceInputs,
  seed: number,
  draws = DRAWS,
  spreads: Partial<Record<InputName, number>> = {},
): Tally {
  const names = Object.keys(figures) as InputName[];
  const uniform = seeded(seed);
  // every input has its own numbers whether or not it varies, so that answers to different questions can be compared
  const noise = names.map(() => normals(draws, uniform));
  const sds = names.map((name) => spreads[name] ?? figures[name].sd ?? 0);
  const means = names.map((name) => figures[name].value);
  const { from, to } = fitWindow(fit, model.stretch);
  const sample = Object.fromEntries(names.map((name, index) => [name, means[index]!])) as Sample;
  const tally = { tight: 0, loose: 0, short: 0, sum: 0, square: 0 };
  for (let index = 0; index < draws; index += 1) {
    for (let input = 0; input < names.length; input += 1)
      sample[names[input]!] = sampled(names[input]!, means[input]!, sds[input]!, noise[input]![index]!);
    const ratio = model.girth(sample) / sample.g;
    tally.sum += ratio;
    tally.square += ratio * ratio;
    if (ratio < from) tally.tight += 1;
    else if (ratio > to) tally.loose += 1;
    else if (isShort(model, sample)) tally.short += 1;
  }
  const mean = tally.sum / draws;
  const fits = draws - tally.tight - tally.loose - tally.short;
  return {
    draws,
    fits,
    tight: tally.tight,
    loose: tally.loose,
    short: tally.short,
    share: fits / draws,
    ratio: { mean, sd: Math.sqrt(Math.max(0, tally.square / draws - mean * mean)) },
    window: { from, to: Number.isFinite(to) ? to : null },
  };
}

/** Scales are sampled lognormal, so that none is ever negative; measures normal. */
function sampled(name: string, mean: number, sd: number, z: number): number {
  if (sd === 0) return mean;
  if (SCALES.has(name)) return mean * Math.exp((sd / mean) * z);
  return Math.max(1e-6, mean + sd * z);
}

function isShort(model: FitModel, sample: Sample): boolean {
  const out = Math.max(STANDS_OUT.leastMm, STANDS_OUT.share * sample.H, model.flap?.least ?? 0);
  if (model.depth(sample) < sample.H - out) return true;
  return model.flap !== undefined && model.flap.reach(sample) < model.flap.least;
}
