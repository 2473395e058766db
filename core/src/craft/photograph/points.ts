/** A place in a picture, px from its upper left corner, or on the table, mm. */
export type Point = readonly [x: number, y: number];

/** How far two places are apart, in their own unit. */
export const distance = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(bx - ax, by - ay);

/** The place at a share of the way from one to another. */
export const between = ([ax, ay]: Point, [bx, by]: Point, share: number): Point => [
  ax + (bx - ax) * share,
  ay + (by - ay) * share,
];

/** A straight line as its normal and its distance from the origin: `x cos + y sin = off`. */
export interface Line {
  nx: number;
  ny: number;
  off: number;
}

/** Where two lines meet; nothing where they are parallel. */
export function meeting(a: Line, b: Line): Point | undefined {
  const det = a.nx * b.ny - a.ny * b.nx;
  if (Math.abs(det) < 1e-9) return undefined;
  return [(a.off * b.ny - a.ny * b.off) / det, (a.nx * b.off - a.off * b.nx) / det];
}

/**
 * The straight line nearest to points, by their squared distances from it (law: total least squares), outliers weighing
 * little.
 */
export function lineThrough(points: readonly Point[], weights?: readonly number[]): Line {
  let [sw, sx, sy] = [0, 0, 0];
  points.forEach(([x, y], index) => {
    const w = weights?.[index] ?? 1;
    sw += w;
    sx += w * x;
    sy += w * y;
  });
  const [mx, my] = [sx / sw, sy / sw];
  let [xx, xy, yy] = [0, 0, 0];
  points.forEach(([x, y], index) => {
    const w = weights?.[index] ?? 1;
    xx += w * (x - mx) ** 2;
    xy += w * (x - mx) * (y - my);
    yy += w * (y - my) ** 2;
  });
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy) + Math.PI / 2;
  const [nx, ny] = [Math.cos(angle), Math.sin(angle)];
  return { nx, ny, off: nx * mx + ny * my };
}

/** How far a place lies off a line, with its sign. */
export const offLine = ({ nx, ny, off }: Line, [x, y]: Point): number => nx * x + ny * y - off;
