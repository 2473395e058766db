import type { Dice } from './random';
import { narrowestShare, type Laid } from './wandering';

/** How far the world is from what the handbook takes it for: spreads so many times as wide, every tape so much too long. */
export interface World {
  wider: number;
  bias: number;
}

/** What is so of the maker's stitches, whatever was measured, mm. */
export interface Fabric {
  /** Stitch width and row height of the swatch, which is in rows unless the stitch has none. */
  swatch: Size;
  /** The same of the piece, in rows or in rounds as it is worked. */
  piece: Size;
  /** Height of a round of single on the piece. */
  border: number;
  /** Height of half doubles in the same piece. */
  halfDouble: number;
  t: number;
  /** How narrow its narrowest 30 mm are against its mean, of so many courses laid so. */
  narrow: (courses: number, laid: Laid) => number;
}

interface Size {
  w: number;
  h: number;
}

/** Spreads of the handbook (2.1): of hands, of a piece against its swatch, of rounds against rows, of one stitch against another; and how far two go together. */
const STRAYS = 0.025;
// what is estimated of a piece takes in how far it strays from a swatch of the same hand
const HAND = { width: Math.sqrt(0.12 ** 2 - STRAYS ** 2), height: Math.sqrt(0.15 ** 2 - STRAYS ** 2) };
const OTHER_WAY = 0.04;
const OTHER_STITCH = 0.05;
const TOGETHER = 0.6;

/** Rows of single against its width, and rounds; rows of half double (handbook 2.2). */
const SINGLE = { row: 0.88, round: 0.98 };
const HALF_DOUBLE_ROW = 1.25;

export type Way = 'rows' | 'rounds';

/** What the yarn on its hook is estimated to give in the piece, and thickness with its spread. */
interface Usual extends Size {
  way: Way;
  /** Worked in single, so that a swatch in rows tells of it. */
  single: boolean;
  t: number;
  tSpread: number;
}

/** Two normals that go together. */
function pair({ normal }: Dice): [number, number] {
  const a = normal();
  return [a, TOGETHER * a + Math.sqrt(1 - TOGETHER ** 2) * normal()];
}

/**
 * A hand and a yarn drawn from the priors: what is estimated of the piece strays as hands do; rows stray from rounds
 * besides, where the piece is of rounds and the swatch of rows.
 */
export function drawFabric(dice: Dice, { wider }: World, usual: Usual): Fabric {
  const [wide, tall] = pair(dice);
  const [strayWide, strayTall] = pair(dice);
  const apart = (spread: number) => Math.exp(wider * spread * dice.normal());
  const own = {
    w: usual.w * Math.exp(wider * HAND.width * wide),
    h: usual.h * Math.exp(wider * HAND.height * tall),
  };
  const piece = {
    w: own.w * Math.exp(wider * STRAYS * strayWide),
    h: own.h * Math.exp(wider * STRAYS * strayTall),
  };
  const turned = usual.single && usual.way === 'rounds';
  const single = usual.single ? piece.h : piece.w * SINGLE.row;
  return {
    swatch: turned ? { w: own.w * apart(OTHER_WAY), h: own.h * (SINGLE.row / SINGLE.round) * apart(OTHER_WAY) } : own,
    piece,
    border: (single * SINGLE.round * apart(OTHER_WAY)) / SINGLE.row,
    halfDouble: (piece.h * HALF_DOUBLE_ROW * apart(OTHER_STITCH)) / SINGLE.row,
    t: usual.t * apart(usual.tSpread),
    narrow: (courses, laid) => narrowestShare(dice, Math.max(1, courses), piece.h, laid),
  };
}

/** What a tool reads: sd of a ruler, a tape, a calliper, mm (handbook 1). */
const TOOLS = { ruler: 1, tape: 2, calliper: 0.2 } as const;

export type Tool = keyof typeof TOOLS;

export const read = (dice: Dice, { bias }: World, by: Tool, mm: number): number =>
  mm * (1 + bias) + TOOLS[by] * dice.normal();

/** How well the eye tells the edge of a stitch, in stitches (handbook 2.1). */
const EDGE = 0.25;

export type Counting = 'edges' | 'whole';

interface Measured {
  count: number;
  overMm: number;
  by: 'ruler';
  counted?: 'whole';
}

/** A swatch as the maker measures it: so many stitches from edge to edge, or the whole ones within 100 mm. */
export function measureSwatch(dice: Dice, world: World, size: number, counting: Counting): Measured {
  if (counting === 'whole') {
    const seen = 100 / (1 + world.bias) + TOOLS.ruler * dice.normal();
    return { count: Math.max(1, Math.floor(seen / size)), overMm: 100, by: 'ruler', counted: 'whole' };
  }
  const count = Math.max(4, Math.round(100 / size));
  return { count, overMm: read(dice, world, 'ruler', (count + EDGE * dice.normal()) * size), by: 'ruler' };
}
