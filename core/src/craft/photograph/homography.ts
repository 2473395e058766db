import type { Point } from './points';

/** A plane seen as another: nine numbers, row by row. */
export type Homography = readonly number[];

/**
 * The homography that takes four places to four others (law: eight linear equations).
 *
 * @returns nothing where three of the places lie on one line
 * @source handbook 13
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  const rows: number[][] = [];
  for (let index = 0; index < 4; index += 1) {
    const [x, y] = from[index]!;
    const [u, v] = to[index]!;
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  }
  const solved = solve(rows);
  return solved && [...solved, 1];
}

/** Gaussian elimination with the largest pivot; each row ends in its right-hand side. */
function solve(rows: number[][]): number[] | undefined {
  const size = rows.length;
  for (let column = 0; column < size; column += 1) {
    let best = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[best]![column]!)) best = row;
    const pivot = rows[best]![column]!;
    if (Math.abs(pivot) < 1e-10) return undefined;
    [rows[column], rows[best]] = [rows[best]!, rows[column]!];
    for (let row = 0; row < size; row += 1) {
      if (row === column) continue;
      const factor = rows[row]![column]! / pivot;
      if (factor === 0) continue;
      for (let at = column; at <= size; at += 1) rows[row]![at]! -= factor * rows[column]![at]!;
    }
  }
  return rows.map((row, index) => row[size]! / row[index]!);
}

/** A place of the one plane on the other. */
export function mapped(h: Homography, [x, y]: Point): Point {
  const w = h[6]! * x + h[7]! * y + h[8]!;
  return [(h[0]! * x + h[1]! * y + h[2]!) / w, (h[3]! * x + h[4]! * y + h[5]!) / w];
}
