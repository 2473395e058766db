import type { WorkedFabric } from '../../craft/fabric';
import type { Border, Piece } from '../../piece';
import type { WorkedThing } from '../../craft/things';
import { formatNumber } from '../../base/units';
import { cutRows } from '../../drawing/cutRows';
import { acrossFrom, borderPart, folds, panel, uprightFrom, within } from '../../drawing/draw';
import { joinsSeen, type Join } from '../common/joins';
import type { Part, View } from '../../drawing/parts';
import { bandsDrawn } from '../../drawing/runs';

/** A rectangle folded to the middle from both ends, as it is drawn. */
interface DrawnPacket {
  piece: Piece;
  thing: WorkedThing;
  fabric: WorkedFabric;
  /** How its two ends are closed. */
  join: Join;
  /** How far its edges overlap, mm. */
  overlap: number;
  /** Its edging and how deep that is, mm. */
  edging?: { border: Border; deep: number };
}

/** The rectangle laid flat, folded, and cut through. */
export function packetViews({ piece, thing, fabric, join, overlap, edging }: DrawnPacket): View[] {
  const deep = edging?.deep ?? 0;
  const long = piece.height.value;
  const wide = piece.width.value;
  const quarter = (long - overlap) / 4;
  const { rows, stitches } = piece;
  const flat: Part[] = [
    panel({
      role: 'front',
      label: 'rectangle',
      sub: `${rows} rows`,
      w: long,
      h: wide,
      rows,
      stitches,
      stacked: 'x',
      ...bandsDrawn(piece),
    }),
    ...folds(
      [
        { mm: quarter + overlap / 2, label: 'fold' },
        { mm: long - quarter - overlap / 2, label: 'fold' },
      ],
      wide,
    ),
    {
      type: 'thing',
      x: (long - thing.width.value) / 2,
      y: (wide - thing.height.value) / 2,
      w: thing.width.value,
      h: thing.height.value,
      r: thing.corner,
    },
    { type: 'dimension', along: 'x', from: 0, to: long, mm: long, count: `${rows} rows`, choice: 'length' },
    uprightFrom(0, wide, { count: `${stitches} stitches`, choice: 'width' }),
    ...(edging
      ? [borderPart(edging.border, { x: 0, y: 0, w: long, h: wide }, deep, ['left', 'last', 'right', 'foundation'])]
      : []),
  ];
  const high = (long - overlap) / 2;
  const folded: Part[] = [
    panel({
      role: 'front',
      label: 'front',
      sub: `${rows} rows`,
      w: wide,
      h: high,
      rows: Math.round(rows / 2),
      stitches,
    }),
    { type: 'line', kind: 'slot', x1: 0, y1: high / 2, x2: wide, y2: high / 2, label: 'opening', mouth: true },
    ...joinsSeen(join, fabric.stitchWidth.value, { x: 0, y: 0, w: wide, h: high }),
    { type: 'dimension', along: 'x', from: 0, to: wide, mm: wide, count: `${stitches} stitches` },
    uprightFrom(0, high),
    {
      type: 'thing',
      x: (wide - thing.height.value) / 2,
      y: (high - thing.width.value) / 2,
      w: thing.height.value,
      h: thing.width.value,
      r: thing.corner,
    },
  ];
  const t = fabric.thickness.value;
  return [
    {
      id: 'flat',
      name: 'Flat',
      width: long + 2 * deep,
      height: wide + 2 * deep,
      parts: within(flat, deep),
      text: `The rectangle: ${rows} rows, {mm:${formatNumber(long)}} long; ${stitches} stitches, {mm:${formatNumber(wide)}} wide.`,
    },
    {
      id: 'folded',
      name: 'Folded',
      width: wide,
      height: high,
      parts: folded,
      text: `Folded: {mm:${formatNumber(wide)}} by {mm:${formatNumber(high)}}, open along the middle.`,
    },
    {
      id: 'cut',
      name: 'Cut through',
      ...cutPacket(piece, thing, overlap, t),
      text: `Cut through: {mm:${formatNumber(thing.depth.value)}} of the item between two layers of {mm:${formatNumber(t)}}.`,
    },
  ];
}

/** Its edges meet in the middle of the front, the later one outside: from the first row round the thing to the last. */
function cutPacket(piece: Piece, thing: WorkedThing, overlap: number, t: number): Omit<View, 'id' | 'name' | 'text'> {
  const [deep, high] = [thing.depth.value, thing.width.value];
  const [near, far] = [1.5 * t, 2.5 * t + deep];
  const [top, low] = [t / 2, t / 2 + high + t];
  const middle = (top + low) / 2;
  // a round of the fabric is half the girth and more: what overlaps lies in two layers
  const over = Math.min(overlap, high) / 2;
  return {
    width: far,
    height: low + t / 2,
    parts: [
      {
        type: 'cut',
        role: 'front',
        points: [
          [near, middle + over],
          [near, top],
          [far, top],
          [far, low],
          [near - t, low],
          [near - t, middle - over],
        ],
        thickness: t,
        rows: cutRows(piece, { from: 1, to: piece.rows, at: 1 / 2, role: 'front' }),
      },
      { type: 'thing', x: near + t / 2, y: top + t / 2, w: deep, h: high, r: Math.min(deep, high) / 6 },
      uprightFrom(top, low),
      acrossFrom(near, far),
    ],
  };
}
