import { borderSigns, type BorderPart } from '@keep-snug/core';
import type { ReactElement } from 'react';
import { G, Path } from '@/parts/ink';
import type { Ink } from './lettering';
import { px } from './layout';
import { gridPath, STITCH_PX } from './symbols';

/** Rounds along a piece: their ground and the lines between them. */
export function borderInk(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement {
  const [w, h] = [part.w * scale, part.h * scale];
  const strips = part.rounds.flatMap((round, index) => {
    const { sides } = round;
    return TURNS.flatMap((_, side) => (sides[side] === 0 ? [] : [stripOf(part, side, index, scale)]));
  });
  const transform = `translate(${px(part.x * scale + w / 2)} ${px(part.y * scale + h / 2)})`;
  const d = strips.map(({ corners }) => `M${corners.map(([x, y]) => `${px(x)} ${px(y)}`).join('L')}Z`).join('');
  return (
    <G key={key} transform={transform}>
      <Path d={d} fill={colours.surface} stroke={colours.ink} strokeWidth={1} />
    </G>
  );
}

type Point = readonly [number, number];

/** One round along one side, with its share of the corners: its four corners about the middle of the box, px. */
function stripOf(part: BorderPart, side: number, round: number, scale: number): { corners: Point[] } {
  const { left, right, top, high } = lyingOn(part, side, round, scale);
  const turn = TURNS[side]! * (Math.PI / 180);
  const turned = ([x, y]: Point): Point => [
    x * Math.cos(turn) - y * Math.sin(turn),
    x * Math.sin(turn) + y * Math.cos(turn),
  ];
  const corner = right.corner ? high : 0;
  const corners: Point[] = [
    [left, top],
    [right.at + corner, top],
    [right.at + corner, top + high],
    [left, top + high],
  ];
  return { corners: corners.map(turned) };
}

/** Where a round along a side lies once that side is turned upwards, about the middle of the box, px. */
function lyingOn({ w, h, depth, rounds }: BorderPart, side: number, round: number, scale: number) {
  const [long, deep] = side % 2 === 0 ? [w * scale, h * scale] : [h * scale, w * scale];
  const high = depth * scale;
  const out = round * high;
  const { sides } = rounds[round]!;
  const meets = (other: number) => sides[(other + 4) % 4]! > 0;
  const at = long / 2 + (meets(side + 1) ? out : 0);
  return {
    left: -long / 2 - (meets(side - 1) ? out : 0),
    // a corner belongs to the side before it: its stitches lie in the square where two sides meet
    right: { at, corner: meets(side + 1) },
    top: -deep / 2 - out - high,
    high,
  };
}

/** How a side is turned from the upright grid whose stitches run to the right: clockwise from the top. */
const TURNS = [0, 90, 180, 270] as const;

/** Every stitch of a border, round by round and side by side, its corners spread over theirs, as soon as they are large enough. */
export function borderStitches(part: BorderPart, { scale, colours }: Ink, key: string): ReactElement | null {
  const high = part.depth * scale;
  const [w, h] = [part.w * scale, part.h * scale];
  const most = Math.max(...part.rounds[0]!.sides.map((count, side) => count / Math.max(1e-9, side % 2 === 0 ? w : h)));
  if (Math.min(high, 1 / most) < STITCH_PX) return null;
  const transform = `translate(${px(part.x * scale + w / 2)} ${px(part.y * scale + h / 2)})`;
  const paths = part.rounds.flatMap(({ stitch, sides, corner }, round) => {
    return TURNS.flatMap((turn, side) => {
      const { left, right, top } = lyingOn(part, side, round, scale);
      const line = (columns: number, wide: number) =>
        columns === 0
          ? ''
          : gridPath(
              { columns, rows: 1, w: wide / columns, h: high },
              { fromColumn: 0, toColumn: columns, fromRow: 0, toRow: 1 },
              [borderSigns(stitch, columns)],
            );
      return [
        { turn, at: left, top, d: line(sides[side]!, right.at - left) },
        { turn, at: right.at, top, d: right.corner && sides[side]! > 0 ? line(corner, high) : '' },
      ];
    });
  });
  return (
    <G key={key} transform={transform}>
      {paths.map(({ turn, at, top, d }, index) =>
        d === '' ? null : (
          <G key={index} transform={`rotate(${turn})`}>
            <Path
              data-part="border stitches"
              transform={`translate(${px(at)} ${px(top)})`}
              d={d}
              fill="none"
              stroke={colours.ink}
              strokeWidth={Math.max(1, 0.07 * high)}
              opacity={0.72}
            />
          </G>
        ),
      )}
    </G>
  );
}
