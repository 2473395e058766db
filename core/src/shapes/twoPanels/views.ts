import type { WorkedFabric } from '../../craft/fabric';
import { bottomGive } from '../../craft/fit';
import type { Border, Piece } from '../../piece';
import type { WorkedThing } from '../../craft/things';
import { formatNumber } from '../../base/units';
import { closedViews } from '../common/closedViews';
import { joinsSeen, type Join } from '../common/joins';
import { cutRows } from '../../drawing/cutRows';
import { borderPart, panel, sideBySide } from '../../drawing/draw';
import type { Drive, Part, View } from '../../drawing/parts';
import { bandsDrawn } from '../../drawing/runs';

/** Two panels alike, as they are drawn; `width` and `height` are those of one with its edging, mm. */
interface DrawnPanels {
  piece: Piece;
  thing: WorkedThing;
  fabric: WorkedFabric;
  edging: Border;
  join: Join;
  width: number;
  height: number;
  drive: Drive;
}

/** Both panels laid beside each other, and the closed piece. */
export function panelsViews({ piece, thing, fabric, edging, join, width, height, drive }: DrawnPanels): View[] {
  const { stitches, rows } = piece;
  const deep = (width - piece.width.value) / 2;
  const box = { x: deep, y: deep, w: piece.width.value, h: piece.height.value };
  const sheet = (label: string, role: 'front' | 'back'): Part[] => [
    panel({ role, label, sub: `${rows} rows`, ...box, rows, stitches, ...bandsDrawn(piece) }),
    borderPart(edging, box, deep, ['last', 'right', 'foundation', 'left']),
    { type: 'dimension', along: 'x', from: 0, to: width, mm: width, count: `${stitches} stitches`, choice: 'width' },
  ];
  const flat = sideBySide([
    {
      parts: [
        ...sheet('front', 'front'),
        {
          type: 'dimension',
          along: 'y',
          from: 0,
          to: height,
          mm: height,
          count: `${rows} rows`,
          drives: drive,
        },
      ],
      width,
      height,
    },
    { parts: sheet('back', 'back'), width, height },
  ]);
  const give = bottomGive(thing.depth, fabric.thickness).value;
  const up = height - give;
  const closed = { x: deep, y: deep, w: piece.width.value, h: Math.max(1, up - 2 * deep) };
  return [
    {
      id: 'flat',
      name: 'Flat',
      ...flat,
      text: `Two panels alike: ${stitches} stitches, ${rows} rows, {mm:${formatNumber(width)}} by {mm:${formatNumber(height)}} with their edging.`,
    },
    ...closedViews({
      context: { thing, fabric },
      width,
      height: up,
      front: [
        panel({
          role: 'front',
          label: 'front',
          sub: `${rows} rows`,
          ...closed,
          rows,
          stitches,
          ...bandsDrawn(piece),
        }),
        borderPart(edging, closed, deep, ['last', 'right', 'foundation', 'left']),
        ...joinsSeen(join, fabric.stitchWidth.value, { x: 0, y: 0, w: width, h: up }, ['left', 'right', 'low']),
      ],
      frontUp: up,
      backUp: up,
      rows: {
        around: [
          ...cutRows(piece, { from: rows, to: 1, at: 1 / 2, role: 'front' }),
          ...cutRows(piece, { from: 1, to: rows, at: 1 / 2, role: 'back' }),
        ],
      },
      count: `${stitches} stitches`,
      choice: 'width',
    }),
  ];
}
