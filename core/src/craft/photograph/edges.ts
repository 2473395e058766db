import { between, distance, lineThrough, offLine, type Point } from './points';

/** A picture in grey: a number from 0 to 255 for each place, row by row. */
export interface Grey {
  width: number;
  height: number;
  data: Float32Array | Uint8ClampedArray | Uint8Array;
}

/** The brightness at a place between pixels, px; beyond the picture that of its edge. */
function greyAt({ width, height, data }: Grey, [x, y]: Point): number {
  const cx = Math.max(0, Math.min(width - 1.001, x - 0.5));
  const cy = Math.max(0, Math.min(height - 1.001, y - 0.5));
  const [left, top] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - left, cy - top];
  const at = top * width + left;
  const over = data[at]! * (1 - fx) + data[at + 1]! * fx;
  const under = data[at + width]! * (1 - fx) + data[at + width + 1]! * fx;
  return over * (1 - fy) + under * fy;
}

interface Found {
  /** How far along the line of sight, px. */
  at: number;
  /** How steep the brightness is there, with its sign. */
  slope: number;
}

/** Less steep than this nothing is taken for an edge, grey values a px. */
const FAINT = 3;

/** Brightness along a line of sight through a place, averaged over some px beside it. */
function profile(grey: Grey, [x, y]: Point, [dx, dy]: Point, reach: number, beside: number): number[] {
  return Array.from({ length: 2 * reach + 1 }, (_, index) => {
    const s = index - reach;
    let sum = 0;
    for (let t = -beside; t <= beside; t += 1) sum += greyAt(grey, [x + s * dx - t * dy, y + s * dy + t * dx]);
    return sum / (2 * beside + 1);
  });
}

/** Every place where the brightness changes the most among its neighbours, to a part of a px. */
function edgesAlong(values: readonly number[], reach: number): Found[] {
  const slope = values.map((_, index) =>
    index === 0 || index === values.length - 1 ? 0 : (values[index + 1]! - values[index - 1]!) / 2,
  );
  return slope.flatMap((here, index) => {
    const [before, after] = [Math.abs(slope[index - 1] ?? 0), Math.abs(slope[index + 1] ?? 0)];
    const steep = Math.abs(here);
    if (steep < FAINT || steep < before || steep <= after) return [];
    const bend = before - 2 * steep + after;
    const off = bend === 0 ? 0 : (0.5 * (before - after)) / bend;
    return [{ at: index - reach + off, slope: here }];
  });
}

/** The edge that is steep and near to what was pointed at. */
const strongest = (found: readonly Found[], reach: number, sign: number): Found | undefined => {
  const worth = ({ at, slope }: Found) => Math.abs(slope) * Math.exp(-((at / (0.6 * reach)) ** 2));
  return found
    .filter(({ slope }) => sign === 0 || slope * sign > 0)
    .reduce<Found | undefined>((best, one) => (!best || worth(one) > worth(best) ? one : best), undefined);
};

/** Where along an edge it is looked for: its ends are round. */
const FROM = 0.1;
const STATIONS = 48;

/**
 * Places on the straight edge near a line from one place to another, found where the brightness changes the most.
 *
 * @param reach how far beside the line it is looked for, px
 * @returns fewer than a third of the places looked at where there is no edge to be seen
 * @source handbook 13
 */
export function edgePoints(grey: Grey, from: Point, to: Point, reach: number): Point[] {
  const long = distance(from, to);
  const normal: Point = [-(to[1] - from[1]) / long, (to[0] - from[0]) / long];
  const seen = Array.from({ length: STATIONS }, (_, index) => {
    const place = between(from, to, FROM + ((1 - 2 * FROM) * (index + 0.5)) / STATIONS);
    return { place, found: edgesAlong(profile(grey, place, normal, reach, 1), reach) };
  });
  // an edge is as bright on the one side all along it
  const signs = seen.reduce((sum, { found }) => sum + Math.sign(strongest(found, reach, 0)?.slope ?? 0), 0);
  const points = seen.flatMap(({ place, found }): Point[] => {
    const edge = strongest(found, reach, Math.sign(signs) || 1);
    return edge ? [[place[0] + edge.at * normal[0], place[1] + edge.at * normal[1]]] : [];
  });
  return points.length < STATIONS / 3 ? points : withoutOutliers(points);
}

/** How far from its neighbours' line a place may lie before it is another edge's, in medians of what all do. */
const OUTLYING = 4;

function withoutOutliers(points: readonly Point[]): Point[] {
  let kept = [...points];
  for (let round = 0; round < 4; round += 1) {
    const line = lineThrough(kept);
    const off = points.map((point) => Math.abs(offLine(line, point)));
    const usual = [...off].sort((a, b) => a - b)[Math.floor(off.length / 2)]!;
    kept = points.filter((_, index) => off[index]! <= Math.max(0.6, OUTLYING * usual));
  }
  return kept;
}

/** A place that was pointed at, or the edge near it, and how well it is known along the line of sight, px. */
export interface Mark {
  point: Point;
  sd: number;
  snapped: boolean;
}

/** A place pointed at under a magnifier is known so well, px (prior, handbook 13). */
export const TAP_SD = 2.5;
/** An edge that was found is known so well, px: blur and shadow move it. */
const EDGE_SD = 0.65;
/** So many px beside the line of sight are looked at together. */
const BESIDE = 5;
/** How much steeper than what lies about it an edge is. */
const STANDS_OUT = 3.5;

/**
 * The edge nearest to a place along a direction; the place itself where none stands out. Where several do, they are weighed
 * by how steep and how near they are, and their distance from the likeliest is part of the spread (law: a mixture).
 *
 * @param towards another place in that direction
 * @source handbook 13
 */
export function snapAlong(grey: Grey, place: Point, towards: Point, reach: number): Mark {
  const long = distance(place, towards);
  const direction: Point = [(towards[0] - place[0]) / long, (towards[1] - place[1]) / long];
  const values = profile(grey, place, direction, reach, BESIDE);
  const found = edgesAlong(values, reach);
  const usual = medianSlope(values);
  const standing = found.filter(({ slope }) => Math.abs(slope) > STANDS_OUT * usual);
  const worths = standing.map(({ at, slope }) => Math.abs(slope) * Math.exp(-0.5 * (at / TAP_SD) ** 2));
  const all = worths.reduce((sum, worth) => sum + worth, 0);
  if (all < FAINT / 4) return { point: place, sd: TAP_SD, snapped: false };
  const best = standing[worths.indexOf(Math.max(...worths))]!;
  const rivals = standing.reduce((sum, { at }, index) => sum + (worths[index]! / all) * (at - best.at) ** 2, 0);
  return {
    point: [place[0] + best.at * direction[0], place[1] + best.at * direction[1]],
    sd: Math.sqrt(EDGE_SD ** 2 + rivals),
    snapped: true,
  };
}

/** Places all round something, each on the edge nearest to it across the outline. */
export function snapOutline(grey: Grey, places: readonly Point[], reach: number): Mark[] {
  return places.map((place, index) => {
    const [bx, by] = places.at(index - 1)!;
    const [ax, ay] = places[(index + 1) % places.length]!;
    // across the line from the place before to the one after
    return snapAlong(grey, place, [place[0] + (by - ay), place[1] + (ax - bx)], reach);
  });
}

function medianSlope(values: readonly number[]): number {
  const slopes = values.slice(2).map((value, index) => Math.abs(value - values[index]!) / 2);
  return slopes.sort((a, b) => a - b)[Math.floor(slopes.length / 2)]!;
}
