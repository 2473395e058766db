import type { Told } from './types';

/**
 * Where the hook goes in: what is drawn there, and in words. `at` counts places along the row below from the stitch in
 * hand: 1 is the next one, 0 that of the stitch in hand, -1 the one made before it.
 */
export interface Into extends Told {
  kind:
    | 'stitch'
    | 'front-loop'
    | 'back-loop'
    | 'below'
    | 'space'
    | 'gap'
    | 'post'
    | 'chain'
    | 'ring'
    | 'side-loop'
    | 'layers';
  at: number;
}

/** One movement of the hook. */
export type Move =
  | { do: 'over' }
  | { do: 'in'; into: Into }
  /** A loop drawn up, to a height where that is said. */
  | { do: 'up'; to?: Told }
  /** Yarn over, and that drawn through so many loops. */
  | { do: 'through'; loops: number; makes?: Told }
  /** The last loop drawn on through the one before it, without yarning over. */
  | { do: 'slip' };

export const OVER: Move = { do: 'over' };
export const UP: Move = { do: 'up' };
export const SLIP: Move = { do: 'slip' };

/** Yarn over, and draw it through so many loops. */
export const through = (loops: number, makes?: Told): Move => ({ do: 'through', loops, ...(makes ? { makes } : {}) });

/** The hook put in somewhere. */
export const into = (kind: Into['kind'], at: number, full: string, short: string): Move => ({
  do: 'in',
  into: { kind, at, full, short },
});

/** Under both top loops of the next stitch: where the hook goes unless something else is said. */
export const NEXT = into('stitch', 1, 'in the next stitch, under both top loops', 'in next st');

/** What was left of loops, or asked for, that there are not. */
export class MovesFault extends Error {}

/**
 * How many loops are on the hook after each of some moves, beginning with the one that is always there.
 *
 * @throws MovesFault where more are drawn through than there are
 * @source law, handbook 14: a stitch begins and ends with one loop, and never draws through more than there are
 */
export function loopsAfter(moves: readonly Move[]): number[] {
  let loops = 1;
  return moves.map((move) => {
    loops = loopsAfterMove(move, loops);
    return loops;
  });
}

function loopsAfterMove(move: Move, loops: number): number {
  switch (move.do) {
    case 'over':
    case 'up':
      return loops + 1;
    case 'in':
      return loops;
    case 'slip':
      if (loops < 2) throw new MovesFault('slips a loop through one that is not there');
      return loops - 1;
    case 'through':
      if (move.loops > loops) throw new MovesFault(`draws through ${move.loops} loops of ${loops}`);
      return loops - move.loops + 1;
  }
}

const count = (loops: number): Told => ({
  full: loops === 1 ? '1 loop on the hook' : `${loops} loops on the hook`,
  short: loops === 1 ? '1 lp' : `${loops} lps`,
});

/** Moves in words, one step each, with the loops that are on the hook after it. */
export function toldMoves(moves: readonly Move[]): Told[] {
  const loops = loopsAfter(moves);
  return moves.map((move, index) => toldMove(move, index === 0 ? 1 : loops[index - 1]!, count(loops[index]!)));
}

function toldMove(move: Move, before: number, after: Told): Told {
  switch (move.do) {
    case 'over':
      return { full: `{Over} (${after.full}).`, short: `{yo} (${after.short})` };
    case 'in':
      return { full: `Insert the hook ${move.into.full}.`, short: `insert hook ${move.into.short}` };
    case 'up':
      return {
        full: `{Over} and draw up a loop${move.to ? ` ${move.to.full}` : ''} (${after.full}).`,
        short: `{yo}, draw up a lp${move.to ? ` ${move.to.short}` : ''} (${after.short})`,
      };
    case 'slip':
      return {
        full: 'Draw the new loop on through the loop before it (1 loop on the hook).',
        short: 'draw it through lp on hook',
      };
    case 'through':
      return toldThrough(move.loops, before, after, move.makes);
  }
}

/** What the yarn is drawn through, of so many loops. */
function throughWhat(loops: number, before: number): [full: string, short: string] {
  if (before === 1) return ['the loop', 'lp'];
  if (loops === before) return loops === 2 ? ['both loops', 'both lps'] : [`all ${loops} loops`, `all ${loops} lps`];
  return loops === 1 ? ['1 loop', '1 lp'] : [`${loops} loops`, `${loops} lps`];
}

function toldThrough(loops: number, before: number, after: Told, makes?: Told): Told {
  const [what, short] = throughWhat(loops, before);
  return {
    full: `{Over} and draw through ${what}${makes ? `: ${makes.full}` : ''} (${after.full}).`,
    short: `{yo}, draw through ${short}${makes ? ` (${makes.short})` : ''}`,
  };
}
