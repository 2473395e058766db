import { depthWindow } from './depthWindow';
import type { FitDefinition } from './fits';
import type { ChanceInputs, FitModel, InputName, Room } from './model';
import { drawnFor, type Drawn } from './drawn';
import { inputsOf } from './inputs';
import type { WantId } from './wants';
import type { Sample } from './types';

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
export const chanceOfFit = (
  inputs: ChanceInputs,
  seed: number,
  draws = DRAWS,
  spreads: Partial<Record<InputName, number>> = {},
): Tally => tallyOf(inputs, drawnFor(inputs, seed, draws), spreads);

/** The same on numbers that were drawn before, or on the first of them. */
export function tallyOf(
  inputs: ChanceInputs,
  drawn: Drawn,
  spreads: Partial<Record<InputName, number>> = {},
  draws = drawn.draws,
): Tally {
  return tallied(inputs, counted(inputs, drawn, spreads, 0, draws));
}

/** A tally of all draws, and of the first of them alone, without drawing any twice. */
export function tallyWithFirst(inputs: ChanceInputs, drawn: Drawn, first: number): { all: Tally; first: Tally } {
  const some = Math.min(first, drawn.draws);
  const before = counted(inputs, drawn, {}, 0, some);
  const after = counted(inputs, drawn, {}, some, drawn.draws);
  const all = Object.fromEntries(
    Object.entries(before).map(([key, count]) => [key, count + after[key as keyof Counted]]),
  ) as unknown as Counted;
  return { all: tallied(inputs, all), first: tallied(inputs, before) };
}

/** How often each way of missing was met, and the sums of what is told of the ratio. */
interface Counted extends Omit<Tally, 'fits' | 'share' | 'ratio' | 'window'> {
  sum: number;
  square: number;
}

const hasRooms = ({ rooms = [] }: ChanceInputs): boolean => rooms.length > 0;

/** What lets it in and keeps it; where each of several things has a room, every one of them is let in. */
function windowOf(inputs: ChanceInputs): { from: number; to: number } {
  const { model, fit } = inputs;
  if (hasRooms(inputs)) return { from: 1, to: Infinity };
  return fitWindow(fit, model.stretch, model.wander ? fit.useAtNarrowest : fit.useOfStretch);
}

function counted(
  inputs: ChanceInputs,
  drawn: Drawn,
  spreads: Partial<Record<InputName, number>>,
  first: number,
  end: number,
): Counted {
  const { names, means, narrow } = drawn;
  const { from, to } = windowOf(inputs);
  const columns = drawn.columns(drawn.sds(spreads), end);
  const ratioOf = hasRooms(inputs) ? roomsRatio(inputs.rooms!, drawn.things(), spreads) : wholeRatio(inputs.model);
  const sample = Object.fromEntries(names.map((name, index) => [name, means[index]!])) as Sample;
  const varying = names.filter((_, input) => columns[input]);
  const drawnOf = columns.flatMap((column) => column ?? []);
  const count: Counted = {
    draws: end - first,
    tight: 0,
    loose: 0,
    short: 0,
    deep: 0,
    base: 0,
    strap: 0,
    sum: 0,
    square: 0,
  };
  for (let index = first; index < end; index += 1) {
    for (let input = 0; input < varying.length; input += 1) sample[varying[input]!] = drawnOf[input]![index]!;
    const ratio = ratioOf(sample, index) * (narrow ? narrow[index]! : 1);
    count.sum += ratio;
    count.square += ratio * ratio;
    if (ratio < from) count.tight += 1;
    else if (ratio > to) count.loose += 1;
    else {
      const missed = depthMissed(inputs, sample) ?? wantMissed(inputs, sample);
      if (missed) count[missed] += 1;
    }
  }
  return count;
}

function tallied(inputs: ChanceInputs, { sum, square, ...count }: Counted): Tally {
  const { draws, tight, loose, short, deep, base, strap } = count;
  const { from, to } = windowOf(inputs);
  const mean = sum / draws;
  const fits = draws - tight - loose - short - deep - base - strap;
  return {
    ...count,
    fits,
    share: fits / draws,
    ratio: { mean, sd: Math.sqrt(Math.max(0, square / draws - mean * mean)) },
    window: { from, to: Number.isFinite(to) ? to : null },
  };
}

/** What it has of what it needs, of the draw with this number. */
type RatioOf = (sample: Sample, index: number) => number;

const wholeRatio =
  ({ girth }: FitModel): RatioOf =>
  (sample) =>
    girth(sample) / sample.g;

/** How much of what it needs the narrowest room has, its give used: each thing's own girth is drawn once. */
function roomsRatio(
  rooms: readonly Room[],
  things: Float64Array,
  spreads: Partial<Record<InputName, number>>,
): RatioOf {
  const sds = rooms.map(({ holds: { sd = 0 } }) => Math.min(sd, spreads.g ?? sd));
  return (sample, index) => {
    let least = Infinity;
    for (let room = 0; room < rooms.length; room += 1) {
      const { inside, holds, give } = rooms[room]!;
      const girth = Math.max(1e-6, holds.value + sds[room]! * things[index * rooms.length + room]!);
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

/** Whether it does not cover, its flap does not reach, or it is too deep. */
function depthMissed({ model, cover = 0 }: ChanceInputs, sample: Sample): 'short' | 'deep' | undefined {
  const { least, most } = depthWindow(sample.H, cover, model.flap?.least);
  const depth = model.depth(sample);
  if (depth < least) return 'short';
  if (model.flap !== undefined && model.flap.reach(sample) < model.flap.least) return 'short';
  return depth > most ? 'deep' : undefined;
}
