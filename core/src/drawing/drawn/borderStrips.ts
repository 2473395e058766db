import type { BorderPart } from '../parts';
import { px } from './layout';

type Point = readonly [number, number];

/** How a side is turned from the upright grid whose stitches run to the right: clockwise from the top, degrees. */
export const TURNS = [0, 90, 180, 270] as const;

/** The rounds of a border as one path about the middle of its box: every side of every round, with its corners. */
export function borderPath(part: BorderPart, scale: number): string {
  return part.rounds
    .flatMap(({ sides }, index) =>
      TURNS.flatMap((_, side) => (sides[side] === 0 ? [] : [stripCorners(part, side, index, scale)])),
    )
    .map((corners) => `M${corners.map(([x, y]) => `${px(x)} ${px(y)}`).join('L')}Z`)
    .join('');
}

/** One round along one side, with its share of the corners: its four corners about the middle of the box, px. */
function stripCorners(part: BorderPart, side: number, round: number, scale: number): Point[] {
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
  return corners.map(turned);
}

/** Where a round along a side lies once that side is turned upwards, about the middle of the box, px. */
export function lyingOn({ w, h, depth, rounds }: BorderPart, side: number, round: number, scale: number) {
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
