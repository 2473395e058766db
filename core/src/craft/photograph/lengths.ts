import { normals, seeded } from '../fit';
import { distance, type Point } from './points';
import type { Mark } from './edges';
import type { Draw, Seen } from './view';

/** A length from a picture, mm, with its spread. */
export interface Told {
  mm: number;
  sd: number;
}

/** A height that was told is known so well, mm. */
const HEIGHT_SD = 0.5;

/** What lies at a height is seen as much larger as it is nearer to the camera (law: a homothety about its foot). */
const lowered = (mm: number, z: number, { height }: Draw): number => (mm * Math.max(1, height - z)) / height;

interface Jittered {
  marks: Point[];
  z: number;
  draw: Draw;
}

/** Marks and height as each draw has them. */
function* jittered({ draws }: Seen, marks: readonly Mark[], z: number, seed: number): Generator<Jittered> {
  const uniform = seeded(seed);
  const columns = marks.map(() => [normals(draws.length, uniform), normals(draws.length, uniform)] as const);
  const heights = normals(draws.length, uniform);
  for (const [index, draw] of draws.entries()) {
    const moved = marks.map(({ point: [x, y], sd }, mark): Point => {
      return [x + sd * columns[mark]![0][index]!, y + sd * columns[mark]![1][index]!];
    });
    yield { marks: moved, z: z === 0 ? 0 : z + HEIGHT_SD * heights[index]!, draw };
  }
}

function told({ doubt }: Seen, best: number, all: readonly number[]): Told {
  const variance = all.reduce((sum, value) => sum + (value - best) ** 2, 0) / all.length;
  return { mm: best, sd: doubt * Math.sqrt(variance) };
}

/**
 * The length between two places.
 *
 * @param z how high above the card's plane both lie, mm
 * @source handbook 13
 */
export function lengthBetween(seen: Seen, marks: readonly [Mark, Mark], z: number, seed = 2): Told {
  const of = (a: Point, b: Point, draw: Draw, at: number) =>
    lowered(distance(draw.toTable(a), draw.toTable(b)), at, draw);
  const best = of(marks[0].point, marks[1].point, seen.best, z);
  const all = [...jittered(seen, marks, z, seed)].map(({ marks: [a, b], z: at, draw }) => of(a!, b!, draw, at));
  return told(seen, best, all);
}

/** What a closed outline comes to, mm. */
export interface OutlineTold {
  width: Told;
  height: Told;
  /** How round its corners are. */
  corner: Told;
}

/**
 * Width, height and the radius of its corners of what an outline runs round: the smallest box about it (law: one side
 * of it lies on the outline's hull), and how far its corners keep from that box's (law: (√2 − 1) r).
 *
 * @param marks at least four, in turn around it
 * @source handbook 13
 */
export function outlineSizes(seen: Seen, marks: readonly Mark[], z: number, seed = 3): OutlineTold {
  const of = (points: readonly Point[], draw: Draw, at: number) =>
    boxOf(points.map((point) => draw.toTable(point))).map((mm) => lowered(mm, at, draw));
  const points = marks.map(({ point }) => point);
  const best = of(points, seen.best, z);
  const all = [...jittered(seen, marks, z, seed)].map(({ marks: moved, z: at, draw }) => of(moved, draw, at));
  const [width, height, corner] = [0, 1, 2].map((index) =>
    told(
      seen,
      best[index]!,
      all.map((one) => one[index]!),
    ),
  );
  return { width: width!, height: height!, corner: corner! };
}

/** Width, height and corner of the smallest box; the height is the longer one. */
function boxOf(points: readonly Point[]): number[] {
  const hull = hullOf(points);
  let best = { one: 0, other: 0, area: Infinity, corners: [] as Point[] };
  hull.forEach(([ax, ay], index) => {
    const [bx, by] = hull[(index + 1) % hull.length]!;
    const long = Math.hypot(bx - ax, by - ay);
    if (long === 0) return;
    const [ux, uy] = [(bx - ax) / long, (by - ay) / long];
    const [left, right] = endsOf(hull.map(([x, y]) => x * ux + y * uy));
    const [low, high] = endsOf(hull.map(([x, y]) => y * ux - x * uy));
    const [one, other] = [right - left, high - low];
    if (one * other >= best.area) return;
    const at = (along: number, across: number): Point => [along * ux - across * uy, along * uy + across * ux];
    best = { one, other, area: one * other, corners: [at(left, low), at(right, low), at(right, high), at(left, high)] };
  });
  const { one, other, corners } = best;
  return [Math.min(one, other), Math.max(one, other), Math.min(cornerOf(corners, hull), one / 2, other / 2)];
}

const endsOf = (values: readonly number[]): [number, number] => [Math.min(...values), Math.max(...values)];

/** The radius of its corners: each keeps (√2 − 1) r from the box’s own; the middle of the four, so that one that was mistaken does not tell. */
function cornerOf(corners: readonly Point[], hull: readonly Point[]): number {
  const radii = corners
    .map((corner) =>
      Math.min(...hull.map((point, index) => offSegment(corner, point, hull[(index + 1) % hull.length]!))),
    )
    .map((off) => off / (Math.SQRT2 - 1))
    .sort((a, b) => a - b);
  return radii.length === 4 ? (radii[1]! + radii[2]!) / 2 : 0;
}

function offSegment([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const square = (bx - ax) ** 2 + (by - ay) ** 2;
  const share = square === 0 ? 0 : ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square;
  const t = Math.max(0, Math.min(1, share));
  return Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay));
}

/** The hull of places, around (law: monotone chain). */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const half = (list: readonly Point[]) => {
    const chain: Point[] = [];
    for (const point of list) {
      while (chain.length > 1 && turn(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

const turn = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/**
 * One length from several pictures: each weighs by how well it knows it; where they differ by more than they should, the
 * spread says so (law: weighted mean, with the larger of its two errors).
 *
 * @source handbook 13
 */
export function averageOf(list: readonly Told[]): Told {
  const weights = list.map(({ sd }) => 1 / Math.max(0.05, sd) ** 2);
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const mm = list.reduce((sum, told, index) => sum + told.mm * weights[index]!, 0) / all;
  const inner = 1 / Math.sqrt(all);
  if (list.length < 2) return { mm, sd: inner };
  const misfit = list.reduce((sum, one, index) => sum + weights[index]! * (one.mm - mm) ** 2, 0) / (list.length - 1);
  return { mm, sd: inner * Math.max(1, Math.sqrt(misfit)) };
}
