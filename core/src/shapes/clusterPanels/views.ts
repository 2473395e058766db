import type { WorkedFabric } from '../../craft/fabric';
import { bottomGive } from '../../craft/fit';
import { borderRounds, type Border, type Piece } from '../../piece';
import type { WorkedThing } from '../../craft/things';
import { formatNumber, plural } from '../../base/units';
import { closedViews } from '../common/closedViews';
import { cutApart, cutRows } from '../../drawing/cutRows';
import { borderPart, moved, panel, sideBySide, uprightFrom } from '../../drawing/draw';
import type { ClothRole, CutRow, DrawnRound, Part, View } from '../../drawing/parts';
import { bandsDrawn, tintsOf } from '../../drawing/runs';
import { CLUSTER } from './courses';

/** Rectangles of clusters as they are drawn. */
interface DrawnClusters {
  front: Piece;
  back: Piece | undefined;
  thing: WorkedThing;
  fabric: WorkedFabric;
  /** What both layers are joined in. */
  join: WorkedFabric;
  rounds: number;
  /** What edges them: how deep, and with what. */
  edging: { mm: number; front?: Border | undefined; back?: Border | undefined };
}

/** The rectangles laid flat, the closed pouch, and that cut through. */
export function clusterViews(drawn: DrawnClusters): View[] {
  const { front, back, thing, fabric, rounds, edging } = drawn;
  const count = plural(rounds, 'round');
  const outer = ({ value }: { value: number }) => value + 2 * edging.mm;
  const sheet = (piece: Piece, role: 'front' | 'back') => {
    const [width, height] = [outer(piece.width), outer(piece.height)];
    const face = faceOf(role, piece.name.toLowerCase(), piece, piece.height.value, rounds);
    const parts: Part[] = [
      ...edged(face, edging[role], edging.mm, { w: piece.width.value, h: piece.height.value }),
      { type: 'dimension', along: 'x', from: 0, to: width, mm: width, count, choice: 'width' },
      uprightFrom(0, height),
    ];
    return { parts, width, height };
  };
  const flat = sideBySide([sheet(front, 'front'), ...(back ? [sheet(back, 'back')] : [])]);
  const up = outer(front.height) - bottomGive(thing.depth, fabric.thickness).value;
  const width = outer(front.width);
  const over = back && back.height.value - front.height.value - thing.depth.value;
  const flap = over === undefined ? undefined : Math.max(1, Math.min(up, over));
  const inner = { w: front.width.value, h: Math.max(1, up - 2 * edging.mm) };
  const closed = [
    ...edged(faceOf('front', 'front', front, inner.h, rounds), edging.front, edging.mm, inner),
    ...(flap === undefined ? [] : flapOf(drawn, { w: width, h: flap })),
    ...joinAround(drawn, { w: width, h: up }, flap),
  ];
  return [
    {
      id: 'flat',
      name: 'Flat',
      ...flat,
      text: `${front.summary}; {mm:${formatNumber(width)}} by {mm:${formatNumber(outer(front.height))}}${back ? `. Back: ${back.summary}; {mm:${formatNumber(outer(back.height))}} long` : ', two alike'}.`,
    },
    ...closedViews({
      context: { thing, fabric },
      width,
      height: up,
      front: closed,
      frontUp: up,
      backUp: up,
      rows: rowsMet(drawn),
      ...(flap === undefined ? {} : { flap }),
      count,
      choice: 'width',
    }),
  ];
}

/** A face within what edges it. */
function edged(face: Part[], border: Border | undefined, deep: number, box: { w: number; h: number }): Part[] {
  if (!border) return face;
  return [
    ...moved(face, deep, deep),
    borderPart(border, { x: deep, y: deep, ...box }, deep, ['last', 'right', 'foundation', 'left']),
  ];
}

/** What a cut meets: each rectangle from its outer round in and out again. */
function rowsMet({ front, back, rounds }: DrawnClusters): { around: CutRow[]; over: CutRow[] } {
  const through = (piece: Piece, role: 'front' | 'back') => {
    const [strip, outer] = [piece.rows - rounds, piece.rows];
    const out = cutRows(piece, { from: strip + 1, to: outer, at: 1 / 2, role });
    const rest = piece.height.value - 2 * lengthOf(out);
    const middle = cutRows(piece, { from: 1, to: strip, at: 1 / 2, role });
    const share = rest / lengthOf(middle);
    return [...[...out].reverse(), ...middle.map((row) => ({ ...row, mm: row.mm * share })), ...out];
  };
  const met = through(back ?? front, 'back');
  const [behind, over] = cutApart(met, (lengthOf(met) * front.height.value) / (back ?? front).height.value);
  return { around: [...through(front, 'front').reverse(), ...behind], over };
}

const lengthOf = (rows: readonly CutRow[]): number => rows.reduce((sum, { mm }) => sum + mm, 0);

/** The join of both layers, on round the flap where there is one: of each round, what lies along each side. */
function joinAround(
  { front, back, join }: DrawnClusters,
  box: { w: number; h: number },
  flap: number | undefined,
): Part[] {
  const { side, end } = front.rectangle!;
  const depth = join.rowHeight.value;
  const around = (sides: readonly [number, number, number, number]) => [
    { stitch: 'single' as const, corner: 2, sides },
  ];
  const joined: Part = { type: 'border', x: 0, y: 0, ...box, depth, rounds: around([0, side, end, side]) };
  if (flap === undefined || !back) return [joined];
  // as much of the back’s own side as hangs in front
  const seen = Math.round((back.rectangle!.side * flap) / back.height.value);
  return [joined, { type: 'border', x: 0, y: 0, w: box.w, h: flap, depth, rounds: around([0, seen, end, seen]) }];
}

/** A rectangle with its rounds around its strip, stitch for stitch where it lies as it was worked. */
function faceOf(role: ClothRole, label: string, piece: Piece, height: number, rounds: number): Part[] {
  const [width, high] = [piece.width.value, piece.height.value];
  const { side, end } = piece.rectangle!;
  const tintOf = tintsOf(piece);
  const strip = piece.rows - rounds;
  const around = Array.from({ length: rounds }, (_, index): DrawnRound => {
    const less = CLUSTER * (rounds - 1 - index);
    const [long, short] = [side - less, end - less];
    return {
      stitch: piece.fabric.stitch.id,
      count: 2 * (long + short),
      sides: [short, long, short, long],
      row: strip + index + 1,
      ...tintOf(strip + index + 1),
    };
  });
  const face = panel({
    role,
    label,
    sub: plural(rounds, 'round'),
    w: width,
    h: height,
    rows: rounds,
    stitches: piece.stitches,
    stacked: 'out',
    // filled, its bottom has turned under: its rounds are seen whole only as it lies
    ...(height === high ? { rounds: around, high: piece.fabric.rowHeight.value } : {}),
  });
  return height === high ? [face, stripPart(role, piece, rounds, tintOf(1))] : [face];
}

/** The strip in the middle: a row of clusters upwards, or two a row from its ring. */
function stripPart(role: ClothRole, piece: Piece, rounds: number, tint: Pick<DrawnRound, 'tint' | 'colour'>): Part {
  const deep = rounds * piece.fabric.rowHeight.value;
  const box = { x: deep, y: deep, w: piece.width.value - 2 * deep, h: piece.height.value - 2 * deep };
  const rows = piece.rows - rounds;
  const chain = piece.foundation.kind === 'chain';
  const { bands = [{ stitch: piece.fabric.stitch.id, rows, mm: 1, ...tint }] } = bandsDrawn(piece, 1, rows);
  return panel({
    role,
    label: '',
    sub: '',
    ...box,
    rows,
    stitches: chain ? piece.courses[0]!.ends : 2 * CLUSTER,
    stacked: chain ? 'x' : 'y',
    bands,
  });
}

/** A flap of which only the end is seen, with what edges it. */
function flapOf({ front, back, rounds, edging }: DrawnClusters, { w, h }: { w: number; h: number }): Part[] {
  const { mm: deep, back: border } = edging;
  const inner = Math.max(1, h - deep);
  const face = panel({
    role: 'flap',
    label: 'flap',
    sub: '',
    x: deep,
    w: w - 2 * deep,
    h: inner,
    rows: rounds,
    stitches: front.stitches,
    stacked: 'out',
  });
  if (!border || !back) return [face];
  const seen = (inner / back.height.value) * back.rectangle!.side;
  const edged = borderRounds(border).map(({ stitch, corner, along }) => ({
    stitch,
    corner,
    sides: [0, Math.round(seen), along.last ?? 0, Math.round(seen)] as const,
  }));
  const colour = border.colour ? { colour: border.colour } : {};
  return [
    face,
    { type: 'border', x: deep, y: 0, w: w - 2 * deep, h: inner, depth: deep / edged.length, rounds: edged, ...colour },
  ];
}
