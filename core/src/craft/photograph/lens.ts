import type { Point } from './points';

/** A lens that bends straight lines: by a share `k` at the corner of the picture, growing with the square of the distance. */
export interface Lens {
  width: number;
  height: number;
  k: number;
}

/** How far phone lenses still bend what their programs have straightened, as a share at the corner (prior, handbook 13). */
export const LENS_SD = 0.012;

/** Where a place of the picture would lie through a lens that bends nothing (law: radial distortion to its first term). */
export function straightened([x, y]: Point, { width, height, k }: Lens): Point {
  const [cx, cy] = [width / 2, height / 2];
  const rho = ((x - cx) ** 2 + (y - cy) ** 2) / (cx ** 2 + cy ** 2);
  const by = 1 + k * rho;
  return [cx + (x - cx) * by, cy + (y - cy) * by];
}
