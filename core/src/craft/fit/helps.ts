import { COUNTINGS, gaugeSpread, PIECE_STRAYS, TENSION_WANDERS } from '../fabric';
import { methodInfo } from '../things';
import { tallyOf, type Tally } from './chance';
import type { Drawn } from './drawn';
import { inputsOf, isOfHand } from './inputs';
import type { ChanceInputs, InputName } from './model';
import type { Sample } from './types';

/** One thing the maker could do about the chance, and what it would come to. */
export interface Help {
  id: 'swatch' | 'measure-thing' | 'measure-first-rows' | 'change-plan';
  /** What to do, in plain words. */
  text: string;
  /** The share that would fit then. */
  share: number;
  /** How much of the variance of the fit stems from what this would mend, 0 to 1. */
  of: number;
  /** What it takes of the maker's time, minutes (prior, ours). */
  minutes: number;
  /** Entries of the plan that it changes, where it is no measuring. */
  change?: Readonly<Record<string, unknown>>;
}

interface Remedy {
  id: Help['id'];
  text: string;
  minutes: number;
  mends: (name: InputName) => boolean;
  /** The relative standard uncertainty left when it is done; of lengths in mm. */
  left: (name: InputName, mm: number) => number;
}

/** 10 cm by ruler, as a fraction (handbook 2.1). */
const BY_RULER = gaugeSpread({ count: 17, q: COUNTINGS.edges.q, mm: 100, sdMm: methodInfo('ruler').sd(100) });

/** The piece itself measured over its first rows: at one place of it. */
const ROWS_MEASURED = Math.hypot(BY_RULER, TENSION_WANDERS);

/** A swatch measured so: the same, and how far a piece strays from its swatch. */
const SWATCHED = Math.hypot(BY_RULER, PIECE_STRAYS);

const REMEDIES: readonly Remedy[] = [
  { id: 'swatch', text: 'work a swatch of 10 cm', minutes: 30, mends: isOfHand, left: (_, mm) => SWATCHED * mm },
  {
    id: 'measure-thing',
    text: 'measure the item with calipers',
    minutes: 2,
    mends: (name) => ['g', 'H', 'D'].includes(name),
    left: (name) => (name === 'g' ? 0.6 : 0.2),
  },
  {
    id: 'measure-first-rows',
    text: 'measure the first rows',
    minutes: 3,
    mends: isOfHand,
    left: (_, mm) => ROWS_MEASURED * mm,
  },
];

/**
 * What would help most: each remedy's share of the variance of `inside / thing`, and the chance it would lead to on the
 * same draws (first-order variance shares; handbook 3).
 *
 * @param now the tally of all draws, and `first` of the first of them, on which remedies are tried
 * @param drawn the numbers that both were drawn on
 * @returns only what would change something, the most helpful first
 */
export function whatHelps(
  inputs: ChanceInputs,
  drawn: Drawn,
  { all: now, first }: { all: Tally; first: Tally },
): Help[] {
  const figures = inputsOf(inputs);
  const shares = varianceShares(inputs);
  // one in turned rows tells less of rounds than it promises
  const where = inputs.worked === 'rounds' ? ' in rounds' : '';
  return REMEDIES.flatMap(({ id, text, minutes, mends, left }): Help[] => {
    const names = Object.keys(figures).filter(mends);
    const better = Object.fromEntries(
      names.map((name) => {
        const { value, sd = 0 } = figures[name]!;
        return [name, Math.min(sd, left(name, value))];
      }),
    );
    // what is known so well already is not drawn again
    if (names.every((name) => better[name] === (figures[name]!.sd ?? 0))) return [];
    const then = tallyOf(inputs, drawn, better, first.draws);
    // how much more of the same draws fit; all of them say of how many
    const share = Math.min(1, Math.max(0, now.share + then.share - first.share));
    if (share - now.share < 0.005) return [];
    return [
      {
        id,
        text: id === 'swatch' ? text + where : text,
        minutes,
        share,
        of: names.reduce((sum, name) => sum + shares[name]!, 0),
      },
    ];
  }).sort((a, b) => b.share - a.share);
}

/** How much of the variance of `inside girth / g` each input brings, to first order; they add up to one. */
export function varianceShares(inputs: ChanceInputs): Record<InputName, number> {
  const { model } = inputs;
  const figures = inputsOf(inputs);
  const names = Object.keys(figures);
  const middle = Object.fromEntries(names.map((name) => [name, figures[name]!.value])) as Sample;
  const ratio = (sample: Sample) => model.girth({ ...sample }) / sample.g;
  const base = ratio(middle);
  const squares = names.map((name) => {
    const moved = { ...middle, [name]: middle[name]! + (figures[name]!.sd ?? 0) };
    return (ratio(moved) - base) ** 2;
  });
  const total = squares.reduce((sum, square) => sum + square, 0);
  return Object.fromEntries(names.map((name, index) => [name, total > 0 ? squares[index]! / total : 0]));
}
