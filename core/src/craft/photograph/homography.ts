import { LuDecomposition, Matrix } from 'ml-matrix';
import type { Point } from './points';

/** A pivot so small is nothing: three of the places lie on one line. */
const LEAST_PIVOT = 1e-10;

/** A plane seen as another: nine numbers, row by row. */
export type Homography = readonly number[];

/**
 * The homography that takes four places to four others (law: eight linear equations).
 *
 * @returns nothing where three of the places lie on one line
 * @source handbook 13
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  const rows = from.slice(0, 4).flatMap(([x, y], index) => {
    const [u, v] = to[index]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  const lines = new LuDecomposition(new Matrix(rows));
  const least = Math.min(...lines.upperTriangularMatrix.diagonal().map(Math.abs));
  if (least < LEAST_PIVOT) return undefined;
  return [...lines.solve(Matrix.columnVector(to.slice(0, 4).flat())).to1DArray(), 1];
}

/** A place of the one plane on the other. */
export function mapped(h: Homography, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}
