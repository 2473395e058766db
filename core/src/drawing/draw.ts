import type { WorkedFabric } from '../craft/fabric';
import { borderRounds, type Border, type Piece, type RawEdge } from '../piece';
import type { WorkedThing } from '../craft/things';
import type { Cloth, ClothRole, Dimension, Part, RowLines, ThingPart } from './parts';
import { bandsDrawn } from './runs';

const ROLES: readonly string[] = ['front', 'back', 'turn', 'flap', 'base', 'wall', 'pocket', 'span'];

/** The tint of a section, by the first word of its name; what has none of its own is tinted as a front. */
export function roleOf(section: string): ClothRole {
  const first = section.split(' ')[0]!;
  return ROLES.includes(first) ? (first as ClothRole) : 'front';
}

/** Rounds of unlike counts in one stitch, from the first to the last. */
export const roundsDrawn = (counts: readonly number[], stitch: string): Required<Pick<RowLines, 'rounds'>> => ({
  rounds: counts.map((count) => ({ stitch, count })),
});

/** The same of a floor, whose rounds are the first of its piece. */
export const floorDrawn = (counts: readonly number[], stitch: string): Required<Pick<RowLines, 'rounds'>> => ({
  rounds: counts.map((count, index) => ({ stitch, count, row: index + 1 })),
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
  const colour = border.colour ? { colour: border.colour } : {};
  return { type: 'border', ...box, depth: depth / rounds.length, rounds, ...colour };
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
  first?: number;
}

/** A rectangle of fabric with its rows upwards, unless it is said otherwise. */
export function panel({
  x = 0,
  y = 0,
  rows,
  stitches,
  stacked = 'y',
  bands,
  rounds,
  high,
  first,
  ...rest
}: PanelWish): Cloth {
  const lines = {
    count: Math.max(1, rows),
    stacked,
    stitches,
    ...(bands ? { bands } : {}),
    ...(rounds ? { rounds } : {}),
    ...(high === undefined ? {} : { high }),
    ...(first === undefined ? {} : { first }),
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
      case 'ribbon':
        return { ...part, way: part.way.map(([x, y]) => [x + dx, y + dy] as const) };
      case 'dots':
      case 'cut':
        return { ...part, points: part.points.map(([x, y]) => [x + dx, y + dy] as const) };
      default:
        return { ...part, x: part.x + dx, y: part.y + dy };
    }
  });
}

/** Parts within a border so deep: what tells their sizes stays at the drawing's own edge, beyond it. */
export function within(parts: readonly Part[], deep: number): Part[] {
  if (deep === 0) return [...parts];
  return moved(parts, deep, deep).map((part, index): Part => {
    const given = parts[index]!;
    if (part.type !== 'dimension' || given.type !== 'dimension') return part;
    const { at: _at, ...told } = part;
    return given.at === undefined ? told : { ...told, at: given.at };
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
