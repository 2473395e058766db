import type { Homography } from './homography';

/** Focal lengths of phones' main cameras, as a share of the picture's diagonal, and their spread (prior, handbook 13). */
export const FOCAL = { share: 0.62, lnSd: 0.16 } as const;

interface Columns {
  a: readonly [number, number, number];
  b: readonly [number, number, number];
  t: readonly [number, number, number];
}

/** The columns of a homography from the table to the picture, its origin moved to the picture's middle. */
function columns(h: Homography, cx: number, cy: number): Columns {
  const column = (index: number) =>
    [h[index]! - cx * h[6 + index]!, h[3 + index]! - cy * h[6 + index]!, h[6 + index]!] as const;
  return { a: column(0), b: column(1), t: column(2) };
}

/**
 * The focal length at which a rectangle seen in perspective has right angles and its own proportions, px (law: the two
 * orthonormality equations, least squares).
 *
 * @returns nothing where it is seen from straight above, so that the picture does not tell
 * @source handbook 13
 */
export function focalOf(h: Homography, cx: number, cy: number): number | undefined {
  const { a, b } = columns(h, cx, cy);
  const rows = [
    [a[0] * b[0] + a[1] * b[1], a[2] * b[2]],
    [a[0] ** 2 + a[1] ** 2 - b[0] ** 2 - b[1] ** 2, a[2] ** 2 - b[2] ** 2],
  ] as const;
  const square = rows[0][0] ** 2 + rows[1][0] ** 2;
  const u = -(rows[0][0] * rows[0][1] + rows[1][0] * rows[1][1]) / square;
  return u > 0 && Number.isFinite(u) ? 1 / Math.sqrt(u) : undefined;
}

/** How high the camera is above the table, mm (law: its place from the homography and the focal length). */
export function heightOf(h: Homography, cx: number, cy: number, focal: number): number {
  const { a, b, t } = columns(h, cx, cy);
  const out = (v: readonly [number, number, number]) => [v[0] / focal, v[1] / focal, v[2]] as const;
  const [p, q, s] = [out(a), out(b), out(t)];
  const length = (v: readonly [number, number, number]) => Math.hypot(...v);
  const scale = 2 / (length(p) + length(q));
  const cross = [p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]] as const;
  const size = length(cross);
  return Math.abs((cross[0] * s[0] + cross[1] * s[1] + cross[2] * s[2]) * scale) / size;
}

/** How far the seen card is from one of right angles and its own proportions. */
interface Askew {
  /** Logarithm of one side against the other, both measured by what they are to be. */
  sides: number;
  /** Cosine of the angle between them. */
  angle: number;
}

/** How askew the card would lie if the camera had this focal length, px (law: both are 0 for a whole card). */
export function askewAt(h: Homography, cx: number, cy: number, focal: number): Askew {
  const { a, b } = columns(h, cx, cy);
  const out = (v: readonly [number, number, number]) => [v[0] / focal, v[1] / focal, v[2]] as const;
  const [p, q] = [out(a), out(b)];
  const [long, short] = [Math.hypot(...p), Math.hypot(...q)];
  return { sides: Math.log(long / short), angle: (p[0] * q[0] + p[1] * q[1] + p[2] * q[2]) / (long * short) };
}
