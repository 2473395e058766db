import { HAND_RHO, PIECE_STRAYS } from '../fabric';
import type { Figure } from '../../base/figure';
import { normals, seeded } from './random';
import type { ChanceInputs, InputName } from './model';
import { inputsOf, isMeasure, isOfHand } from './inputs';
import { narrowest } from './wander';

/**
 * Numbers drawn once for a plan, in columns: every question about it is answered on the same ones, so that only what is asked for
 * differs (law: common random numbers).
 */
export interface Drawn {
  draws: number;
  names: readonly InputName[];
  means: readonly number[];
  /** Spreads that are asked for, in the order of the names; those of the plan where none are. */
  sds: (spreads: Partial<Record<InputName, number>>) => number[];
  /** Every input as it was drawn with such spreads, so many draws of it at the least; nothing for one that does not vary. */
  columns: (sds: readonly number[], draws: number) => (Float64Array | undefined)[];
  /** How narrow the narrowest stretch of each piece is against its mean; nothing where that does not matter. */
  narrow: Float64Array | undefined;
  /** Standard normal numbers of each room's own thing, draw by draw. */
  things: () => Float64Array;
}

/**
 * Draws what a plan's chance is asked on.
 *
 * @param draws how many pieces are drawn
 * @source handbook 3 (chance of fit)
 */
export function drawnFor(inputs: ChanceInputs, seed: number, draws: number): Drawn {
  const figures = inputsOf(inputs);
  const names = Object.keys(figures);
  const means = names.map((name) => figures[name]!.value);
  const uniform = seeded(seed);
  // every input has its own numbers whether or not it varies, so that answers to different questions can be compared
  const noise = names.map(() => normals(draws, uniform));
  const common = once(() => normals(draws, uniform));
  const kept = new Map<string, Float64Array>();
  const column = (input: number, sd: number, together: number, many: number): Float64Array => {
    const key = `${input} ${sd} ${together}`;
    const before = kept.get(key);
    if (before && before.length >= many) return before;
    const own = noise[input]!.subarray(0, many);
    const strays = together === 0 ? own : mixed(own, common(), together);
    const made = sampled(names[input]!, means[input]!, sd, strays);
    kept.set(key, made);
    return made;
  };
  return {
    draws,
    names,
    means,
    sds: (spreads) => names.map((name) => spreads[name] ?? figures[name]!.sd ?? 0),
    columns: (sds, many) => {
      const shares = names.map((name, input) => (sds[input]! > 0 ? sharedPart(name, figures[name]!, sds[input]!) : 0));
      // where one alone varies it keeps its own numbers, evenly laid
      const isHand = shares.filter((share) => share > 0).length >= 2;
      return sds.map((sd, input) => (sd === 0 ? undefined : column(input, sd, isHand ? shares[input]! : 0, many)));
    },
    narrow: narrowOf(inputs, seed, draws),
    things: once(() => boxed(draws * (inputs.rooms?.length ?? 0), seeded(seed ^ 0x5bd1e995))),
  };
}

function once<Value>(make: () => Value): () => Value {
  let made: { value: Value } | undefined;
  return () => (made ??= { value: make() }).value;
}

/** What one hand makes strays together: each such input is part its own noise and part the hand's. */
function mixed(own: Float64Array, common: Float64Array, share: number): Float64Array {
  const [together, apart] = [Math.sqrt(share), Math.sqrt(1 - share)];
  return own.map((one, index) => together * common[index]! + apart * one);
}

/** Scales are sampled lognormal, so that none is ever negative; measures normal. */
function sampled(name: InputName, mean: number, sd: number, z: Float64Array): Float64Array {
  if (isMeasure(name)) return z.map((one) => Math.max(1e-6, mean + sd * one));
  const share = sd / mean;
  return z.map((one) => mean * Math.exp(share * one));
}

/**
 * How much of an input's variance it shares with all else that the hand makes, 0 to 1. Of what was measured only the piece's own
 * straying is shared, since two readings of a tape know nothing of each other.
 */
function sharedPart(name: InputName, { value, kind }: Figure, sd: number): number {
  if (!isOfHand(name)) return 0;
  const strays = kind === 'measured' ? Math.min(1, (PIECE_STRAYS * value) ** 2 / sd ** 2) : 1;
  return HAND_RHO * strays;
}

/** How narrow its narrowest stretch is against its mean, drawn for one piece after another. */
function narrowOf({ model, figures }: ChanceInputs, seed: number, draws: number): Float64Array | undefined {
  if (!model.wander) return undefined;
  const strays = narrowest(model.wander, figures.h.value);
  const uniform = seeded(seed ^ 0x2545f491);
  const found = new Float64Array(draws);
  for (let index = 0; index < draws; index += 1) found[index] = 1 + strays[Math.floor(uniform() * strays.length)]!;
  return found;
}

/** Standard normal numbers one after the other (law: Box and Muller). */
function boxed(count: number, uniform: () => number): Float64Array {
  const found = new Float64Array(count);
  for (let index = 0; index < count; index += 1)
    found[index] = Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return found;
}
