import type { Step, Worked } from '@keep-snug/core';
import type { Truth } from './truth';

/** What a finished piece leaves inside, mm; nothing of the program's own sizes goes into it, only its steps. */
export interface Made {
  girth: number;
  depth: number;
}

/** What joins take of each side, in stitches (handbook 3). */
const TAKE: Readonly<Record<string, number>> = { whip: 0.25, mattress: 0.25, slip: 0, single: 0 };

const isCourse = ({ kind }: Step) => kind === 'row' || kind === 'round';

/** Rows of a piece by their sections, and stitches of its longest course; row 1 may be told with its chain. */
function courses(steps: readonly Step[]): { count: Record<string, number>; stitches: number } {
  const count: Record<string, number> = {};
  let stitches = 0;
  for (const step of steps.filter((one) => isCourse(one) || (one.kind === 'foundation' && one.row === 1))) {
    count[step.section] = (count[step.section] ?? 0) + 1;
    stitches = Math.max(stitches, step.ends ?? 0);
  }
  return { count, stitches };
}

/** How deep so many rounds of border are. */
const borderRounds = (rounds: number, truth: Truth): number => rounds * truth.border;

export interface Shaped {
  shape: string;
  edging: number;
  join: string;
}

type Build = (steps: readonly Step[], truth: Truth, how: Shaped) => Made;

/** Pieces of two faces: as wide as their stitches between the joins, with what is edged. */
function faces(n: number, rows: number, { piece, t, thing, ...truth }: Truth, edging: number, take: number): Made {
  const border = borderRounds(edging, { piece, t, thing, ...truth });
  return {
    girth: 2 * ((n - 2 * take) * piece.w + 2 * border) - Math.PI * t,
    depth: rows * piece.h - thing.depth / 2 - (Math.PI * t) / 4,
  };
}

/** A wall of rounds above a bottom that takes its half of the thing's depth. */
const tube = (n: number, rounds: number, { piece, t, thing }: Truth, bottom: number): Made => ({
  girth: n * piece.w - Math.PI * t,
  depth: rounds * piece.h - bottom * (thing.depth / 2) - (Math.PI * t) / 4,
});

/** How the steps of each shape become a piece (handbook 3 and 5). */
const BUILDS: Readonly<Record<string, Build>> = {
  'strip-across': (steps, truth, { edging, join }) => {
    const { count, stitches } = courses(steps);
    const made = faces(stitches, count.front!, truth, edging, TAKE[join]!);
    return { ...made, depth: made.depth + borderRounds(edging, truth) };
  },
  'two-panels': (steps, truth, { edging }) => {
    const { count, stitches } = courses(steps.filter(({ piece }) => piece === 'body'));
    const made = faces(stitches, Object.values(count)[0]!, truth, edging, 0);
    return { ...made, depth: made.depth + 2 * borderRounds(edging, truth) };
  },
  'strip-along': (steps, truth, { join }) => {
    const { count, stitches } = courses(steps);
    const rows = Object.values(count).reduce((sum, one) => sum + one, 0);
    const { piece, t, thing } = truth;
    return {
      girth: 2 * (rows - 2 * TAKE[join]!) * piece.h - Math.PI * t,
      // of an odd number the front has one more
      depth: Math.ceil(stitches / 2) * piece.w - thing.depth / 2 - (Math.PI * t) / 4,
    };
  },
  'ring-tube': (steps, truth) => {
    const { count, stitches } = courses(steps);
    return tube(stitches, count.wall!, truth, 1);
  },
  'round-chain': (steps, truth) => {
    const { count, stitches } = courses(steps);
    return tube(stitches, count.wall!, truth, 1);
  },
};

export const SHAPES = Object.keys(BUILDS);

/** Which way each is worked. */
export const wayOf = (shape: string): 'rows' | 'rounds' =>
  shape === 'ring-tube' || shape === 'round-chain' ? 'rounds' : 'rows';

/** The piece that the steps of a plan make in a hand. */
export function made({ steps }: Pick<Worked, 'steps'>, truth: Truth, how: Shaped): Made {
  return BUILDS[how.shape]!(steps, truth, how);
}
