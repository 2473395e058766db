import type { Dice } from './random';

/** How far the world is from what the handbook takes it for: spreads so many times as wide, every tape so much too long. */
export interface World {
  wider: number;
  bias: number;
}

/** What is so, whatever was measured: the maker's stitches, and the thing. All mm. */
export interface Truth {
  /** Stitch width and row height of the swatch in rows. */
  swatch: { w: number; h: number };
  /** The same of the piece, in rows or in rounds as it is worked, and the height of its borders. */
  piece: { w: number; h: number };
  border: number;
  t: number;
  thing: { width: number; height: number; depth: number };
}

/** Spreads of the handbook (2.1): of hands, of a piece against its swatch, of rounds against rows; and how far two go together. */
const HAND = { width: 0.12, height: 0.15 };
const STRAYS = 0.025;
const OTHER_WAY = 0.04;
const TOGETHER = 0.6;

/** Rows of single against its width, and rounds (handbook 2.2). */
const SINGLE = { row: 0.88, round: 0.98 };

/** Two normals that go together. */
function pair({ normal }: Dice): [number, number] {
  const a = normal();
  return [a, TOGETHER * a + Math.sqrt(1 - TOGETHER ** 2) * normal()];
}

/**
 * A hand, a yarn and a thing drawn from the priors: what is estimated of the piece strays as hands do; rows stray from rounds
 * besides, where the piece is of rounds and the swatch of rows.
 *
 * @param usual stitch width and height the yarn on its hook is estimated to have in the piece, and thickness with its spread
 */
export function drawTruth(
  dice: Dice,
  { wider }: World,
  usual: { w: number; way: 'rows' | 'rounds'; t: number; tSpread: number },
  thing: Truth['thing'],
): Truth {
  const [wide, tall] = pair(dice);
  const [strayWide, strayTall] = pair(dice);
  const other = () => Math.exp(wider * OTHER_WAY * dice.normal());
  const inRounds = usual.way === 'rounds';
  const own = {
    w: usual.w * Math.exp(wider * HAND.width * wide),
    h: usual.w * (inRounds ? SINGLE.round : SINGLE.row) * Math.exp(wider * HAND.height * tall),
  };
  const piece = {
    w: own.w * Math.exp(wider * STRAYS * strayWide),
    h: own.h * Math.exp(wider * STRAYS * strayTall),
  };
  return {
    swatch: inRounds ? { w: own.w * other(), h: own.h * (SINGLE.row / SINGLE.round) * other() } : own,
    piece,
    border: piece.h * (SINGLE.round / SINGLE.row) * other(),
    t: usual.t * Math.exp(wider * usual.tSpread * dice.normal()),
    thing,
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
