import { strandsOf, STRAND_WIDE, type Depth, type LyingStitch, type Point, type Strand } from './strands';
import type { Tone } from './tones';

/** Strokes of one tone and width: all strands of a depth in one path. */
export interface TileStroke {
  d: string;
  tone: Tone;
  wide: number;
  opacity?: number;
  dash?: readonly [number, number];
}

/**
 * One repeat of a stitch pattern as yarn, to be laid out over any number of stitches and rows: drawn once, in columns, its
 * lower left corner where x is 0 and y is `high`. What reaches over an edge comes in again at the other.
 */
export interface YarnTile {
  /** What it is known by in a picture: letters, digits and dashes. */
  id: string;
  /** Columns and rows of a repeat. */
  columns: number;
  rows: number;
  /** How high it is, in columns. */
  high: number;
  /** How high each of its rows reaches from its lower edge, in columns. */
  floors: readonly number[];
  strokes: readonly TileStroke[];
  /** Whether what lies behind is seen through it. */
  open: boolean;
}

interface TileWish extends Omit<YarnTile, 'strokes'> {
  stitches: readonly LyingStitch[];
}

const DEPTHS: readonly Depth[] = ['behind', 'legs', 'turns', 'tops'];

/** Lays the yarn of one repeat. */
export function yarnTile({ stitches, ...tile }: TileWish): YarnTile {
  const strands = stitches.flatMap(strandsOf).flatMap((strand) => seenIn(strand, tile));
  return { ...tile, strokes: DEPTHS.flatMap((depth) => strokesOf(strands, depth, tile.high)) };
}

/** A strand wherever a repeat beside this one brings it in. */
function seenIn(strand: Strand, { columns, high }: Pick<YarnTile, 'columns' | 'high'>): Strand[] {
  const reach = STRAND_WIDE[strand.depth];
  const [xs, ys] = [strand.points.map(({ x }) => x), strand.points.map(({ y }) => y)];
  const [left, right] = [Math.min(...xs) - reach, Math.max(...xs) + reach];
  const [low, top] = [Math.min(...ys) - reach, Math.max(...ys) + reach];
  const shifts = (from: number, to: number, size: number) =>
    Array.from(
      { length: Math.max(0, Math.floor((size - from) / size) - Math.ceil(-to / size) + 1) },
      (_, index) => Math.ceil(-to / size) + index,
    )
      .map((by) => by * size)
      .filter((by) => to + by > 0 && from + by < size);
  return shifts(left, right, columns).flatMap((dx) =>
    shifts(low, top, high).map((dy) => ({
      ...strand,
      points: strand.points.map(({ x, y }) => ({ x: x + dx, y: y + dy })),
    })),
  );
}

/** Outline, yarn, shine and twist of all strands of a depth. */
function strokesOf(strands: readonly Strand[], depth: Depth, high: number): TileStroke[] {
  const own = strands.filter((strand) => strand.depth === depth);
  if (own.length === 0) return [];
  const wide = STRAND_WIDE[depth];
  const d = own.map(({ points }) => pathThrough(points, high)).join('');
  const shine = own.map(({ points }) => pathThrough(shifted(points, -0.18 * wide, 0.2 * wide), high)).join('');
  const isBehind = depth === 'behind';
  return [
    { d, tone: 'deep', wide: wide + 0.1 },
    { d, tone: isBehind ? 'shaded' : 'body', wide },
    { d, tone: 'deep', wide: wide * 0.9, opacity: 0.2, dash: [0.045, 0.12] },
    ...(isBehind ? [] : [{ d: shine, tone: 'light', wide: wide * 0.34, opacity: 0.6 } as const]),
  ];
}

const shifted = (points: readonly Point[], dx: number, dy: number): Point[] =>
  points.map(({ x, y }) => ({ x: x + dx, y: y + dy }));

const round = (value: number): string => String(Math.round(value * 100) / 100);

function pathThrough([first, ...rest]: readonly Point[], high: number): string {
  const written = (point: Point) => `${round(point.x)} ${round(high - point.y)}`;
  return `M${written(first!)}C${rest.map(written).join(' ')}`;
}
