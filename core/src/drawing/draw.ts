import { stripeNames, type WorkedFabric } from '../fabric';
import { bandsOf, borderRounds, type Band, type Border, type Piece, type RawEdge } from '../piece';
import type { WorkedThing } from '../things';
import type { Cloth, ClothRole, Dimension, Part, RowBand, RowLines, ThingPart } from './parts';

const ROLES: readonly string[] = ['front', 'back', 'turn', 'flap', 'base', 'wall', 'pocket', 'span'];

/** The tint of a section: its own name where there is one, else what it is most like. */
export function roleOf(name: string): ClothRole {
  return ROLES.includes(name) ? (name as ClothRole) : 'front';
}

/** Rows of one stitch and one colour. */
interface Run {
  band: Band;
  from: number;
  to: number;
  colour: string | undefined;
}

/** The fabrics and colours of a piece's rows as they are drawn; nothing where it is of one. */
export function bandsDrawn(piece: Piece, from = 1, to = piece.rows): Pick<RowLines, 'bands'> {
  const runs = runsOf(piece);
  if (runs.length === 1 && !piece.bands && runs[0]!.colour === undefined) return {};
  const names = [...new Set(runs.map(({ colour }) => colour))];
  const bands = runs.flatMap(({ band: { fabric, pattern }, colour, ...run }): RowBand[] => {
    const [first, last] = [Math.max(from, run.from), Math.min(to, run.to)];
    if (first > last) return [];
    const mm = piece.reach(last) - piece.reach(first - 1);
    const row = piece.fabric.stripes?.eachRow ? { row: first } : {};
    const tint = { ...(names.length > 1 ? { tint: names.indexOf(colour) } : {}), ...(colour ? { colour } : {}) };
    return [{ stitch: fabric.stitch.id, ...(pattern ? { pattern } : {}), rows: last - first + 1, mm, ...row, ...tint }];
  });
  return { bands };
}

/** Its bands, each divided where the colour changes: stripes run on over them from the first row. */
function runsOf(piece: Piece): Run[] {
  const before = known.get(piece);
  if (before) return before;
  const runs = runsAnew(piece);
  known.set(piece, runs);
  return runs;
}

/** A piece is asked for its runs once for every part that is drawn of it. */
const known = new WeakMap<Piece, Run[]>();

const rowByRow = (band: Band): Run[] =>
  Array.from({ length: band.to - band.from + 1 }, (_, index) => {
    const row = band.from + index;
    return { band, from: row, to: row, colour: band.colour };
  });

function runsAnew(piece: Piece): Run[] {
  const { stripes } = piece.fabric;
  const names =
    stripes &&
    stripeNames(
      stripes,
      piece.courses.map(({ ends }) => ends),
    );
  if (stripes?.eachRow && !piece.colour) return bandsOf(piece).flatMap(rowByRow);
  return bandsOf(piece).flatMap((band): Run[] => {
    // a piece that says its own colour has no stripes
    if (!names || piece.colour) return [{ band, from: band.from, to: band.to, colour: band.colour ?? piece.colour }];
    const runs: Run[] = [];
    for (let row = band.from; row <= band.to; row += 1) {
      const colour = names[row - 1];
      const last = runs.at(-1);
      if (last && last.colour === colour) last.to = row;
      else runs.push({ band, from: row, to: row, colour });
    }
    return runs;
  });
}

/** Rounds of unlike counts in one stitch, from the first to the last. */
export const roundsDrawn = (counts: readonly number[], stitch: string): Required<Pick<RowLines, 'rounds'>> => ({
  rounds: counts.map((count) => ({ stitch, count })),
});

/** A piece beside another that is in the plan's own stitch: its rows, where they are of another one. */
export function unlikeDrawn(piece: Piece, own: WorkedFabric): Pick<RowLines, 'bands'> {
  const { stitch } = piece.fabric;
  if (piece.bands || stitch === own.stitch) return bandsDrawn(piece);
  return { bands: [{ stitch: stitch.id, rows: piece.rows, mm: piece.reach(piece.rows) }] };
}

/** A border all round a piece that is drawn as this box; its edges clockwise from the top. */
export function borderPart(
  border: Border,
  box: { x: number; y: number; w: number; h: number },
  depth: number,
  edges: readonly [RawEdge, RawEdge, RawEdge, RawEdge],
): Part {
  const rounds = borderRounds(border).map(({ stitch, corner, along }) => {
    const [top, right, bottom, left] = edges.map((edge) => along[edge] ?? 0);
    return { stitch, corner, sides: [top!, right!, bottom!, left!] as const };
  });
  return { type: 'border', ...box, depth: depth / rounds.length, rounds };
}

interface PanelWish {
  role: ClothRole;
  label: string;
  sub: string;
  x?: number;
  y?: number;
  w: number;
  h: number;
  rows: number;
  stitches: number;
  form?: Cloth['form'];
  top?: number;
  stacked?: 'x' | 'y' | 'out';
  bands?: RowLines['bands'];
  rounds?: RowLines['rounds'];
  high?: number;
}

/** A rectangle of fabric with its rows upwards, unless it is said otherwise. */
export function panel({ x = 0, y = 0, rows, stitches, stacked = 'y', bands, rounds, high, ...rest }: PanelWish): Cloth {
  const lines = {
    count: Math.max(1, rows),
    stacked,
    stitches,
    ...(bands ? { bands } : {}),
    ...(rounds ? { rounds } : {}),
    ...(high === undefined ? {} : { high }),
  };
  return { type: 'cloth', x, y, ...rest, rows: lines };
}

type DimensionMore = Partial<Pick<Dimension, 'count' | 'choice' | 'drives'>>;

/** A dimension across, as long as what it spans. */
export function acrossFrom(from: number, to: number, more: DimensionMore = {}): Dimension {
  return { type: 'dimension', along: 'x', from, to, mm: to - from, ...more };
}

/** A dimension from top to bottom, as long as what it spans. */
export function uprightFrom(from: number, to: number, more: DimensionMore = {}): Dimension {
  return { type: 'dimension', along: 'y', from, to, mm: to - from, ...more };
}

/** Folds across a strip, at these lengths. */
export function folds(at: readonly { mm: number; label: string }[], height: number): Part[] {
  return at.map(({ mm, label }) => ({ type: 'fold', x1: mm, y1: 0, x2: mm, y2: height, label }));
}

interface CutWish {
  /** The thing as it stands in it. */
  D: number;
  H: number;
  t: number;
  /** How far the front reaches up from the bottom, and the back. */
  front: number;
  back: number;
  /** How far a flap comes down in front. */
  flap?: number;
}

/**
 * A pouch cut through from front to back: the fabric's middle line round the thing, as thick as it is. The front is at
 * the left; x 0 is the front's middle line, or the outside of the flap that hangs over it; y 0 the highest edge.
 */
export function cutPouch({ D, H, t, front, back, flap }: CutWish): { parts: Part[]; width: number; height: number } {
  const high = Math.max(front, back, H) + t;
  const lift = flap === undefined ? 0 : 1.5 * t;
  // what hangs in front of the front belongs to the drawing, so that its dimension keeps clear of it
  const near = flap === undefined ? 0 : lift + t / 2;
  const far = near + D + t;
  const y = (above: number) => high - above;
  const line: [number, number][] = [
    [near, y(front)],
    [near, high],
    [far, high],
    [far, y(back)],
  ];
  const over: [number, number][] =
    flap === undefined
      ? []
      : [
          [far, y(back)],
          [far, y(back) - t],
          [near - lift, y(back) - t],
          [near - lift, y(back) - t + flap],
        ];
  const parts: Part[] = [
    { type: 'cut', role: 'front', points: line, thickness: t },
    ...(over.length > 0 ? [{ type: 'cut', role: 'flap', points: over, thickness: t } as const] : []),
    { type: 'thing', x: near + t / 2, y: high - t / 2 - H, w: D, h: H, r: Math.min(D, H) / 6 },
    { type: 'dimension', along: 'y', from: y(front), to: high, mm: front },
    { type: 'dimension', along: 'x', from: near, to: far, mm: D + t },
  ];
  return { parts, width: far, height: high };
}

/**
 * The thing as it stands in a piece of a width, its bottom at `bottom`: each of several in its share of the width, a round
 * one with its shoulder and neck.
 *
 * @param left edge of the piece, and `bottom` of its inside, mm
 */
export function standing(thing: WorkedThing, left: number, width: number, bottom: number): ThingPart[] {
  const { wants, stations } = thing;
  if (wants && wants.length > 1) return sideBySideThings(wants, left, width, bottom);
  // what has no shape of its own fills the bag, however the bag stands
  const w = thing.profile === 'given' ? Math.min(thing.width.value, width) : thing.width.value;
  const h = thing.height.value;
  const box: ThingPart = {
    type: 'thing',
    x: left + (width - w) / 2,
    y: bottom - h,
    w,
    h,
    r: Math.min(thing.corner, w / 2, h / 2),
  };
  if (!stations || stations.length < 3) return [box];
  const half = w / 2;
  const right = stations.map(({ height, diameter }) => [half + diameter / 2, h - height] as const);
  const other = stations.map(({ height, diameter }) => [half - diameter / 2, h - height] as const).reverse();
  return [{ ...box, r: 0, outline: [...right, ...other] }];
}

function sideBySideThings(
  wants: NonNullable<WorkedThing['wants']>,
  left: number,
  width: number,
  bottom: number,
): ThingPart[] {
  const all = wants.reduce((sum, { girth }) => sum + girth.value, 0);
  let reached = 0;
  return wants.map(({ girth, height, wide, tool }) => {
    const share = (girth.value / all) * width;
    const w = Math.min(share, wide);
    const x = left + reached + (share - w) / 2;
    reached += share;
    return { type: 'thing', x, y: bottom - height, w, h: height, r: Math.min(w, height) / (tool ? 2 : 10) };
  });
}

/** Parts moved by so much, for pieces beside each other. */
export function moved(parts: readonly Part[], dx: number, dy: number): Part[] {
  return parts.map((part): Part => {
    switch (part.type) {
      case 'fold':
      case 'line':
        return { ...part, x1: part.x1 + dx, x2: part.x2 + dx, y1: part.y1 + dy, y2: part.y2 + dy };
      case 'dimension': {
        const by = part.along === 'x' ? dx : dy;
        const across = part.along === 'x' ? dy : dx;
        return { ...part, from: part.from + by, to: part.to + by, at: (part.at ?? 0) + across };
      }
      case 'dots':
      case 'cut':
        return { ...part, points: part.points.map(([x, y]) => [x + dx, y + dy] as const) };
      default:
        return { ...part, x: part.x + dx, y: part.y + dy };
    }
  });
}

/** Sheets of parts side by side, their bottoms level, a hand's breadth of the drawing's own scale between them. */
export function sideBySide(sheets: readonly { parts: Part[]; width: number; height: number }[]): {
  parts: Part[];
  width: number;
  height: number;
} {
  const height = Math.max(...sheets.map((sheet) => sheet.height));
  const told = sheets
    .slice(1)
    .some(({ parts }) => parts.some((part) => part.type === 'dimension' && part.along === 'y'));
  // a height told between two of them takes the room of its words
  const gap = (told ? 0.32 : 0.16) * Math.max(height, ...sheets.map((sheet) => sheet.width));
  let x = 0;
  const parts = sheets.flatMap((sheet) => {
    const at = x;
    x += sheet.width + gap;
    return moved(sheet.parts, at, height - sheet.height);
  });
  return { parts, width: x - gap, height };
}
