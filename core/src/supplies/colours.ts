import { tallyRow, type FabricSpec } from '../fabric';
import type { Piece } from '../shapes';

export interface ColourNeed {
  name: string;
  metres: number;
  grams: number;
  rows: number;
}

/**
 * Yarn by colour from the rows each holds: colours follow each other for so many rows, over and over, from the first row
 * of every piece (law, handbook 7). What is not in rows goes to the first colour.
 */
export function byColour(
  { colours }: FabricSpec,
  pieces: readonly Piece[],
  metres: number,
  grams: number,
): ColourNeed[] {
  if (!colours || colours.length === 0) return [];
  const cycle = colours.reduce((sum, { rows }) => sum + rows, 0);
  const stitches = new Map(colours.map(({ name }) => [name, 0]));
  const rows = new Map(colours.map(({ name }) => [name, 0]));
  let all = 0;
  for (const piece of pieces) {
    piece.courses.forEach(({ instructions }, index) => {
      const { name } = colourAt(colours, index % cycle);
      const count = piece.times * Object.values(tallyRow(instructions)).reduce((sum, one) => sum + one, 0);
      stitches.set(name, stitches.get(name)! + count);
      rows.set(name, rows.get(name)! + piece.times);
      all += count;
    });
  }
  return [...stitches].map(([name, count]) => ({
    name,
    metres: all > 0 ? (metres * count) / all : 0,
    grams: all > 0 ? (grams * count) / all : 0,
    rows: rows.get(name)!,
  }));
}

/** The colour of a piece's row, counted from 1: colours follow each other over and over; none where there is one yarn. */
export function rowColour(colours: FabricSpec['colours'], row: number): string | undefined {
  if (!colours || colours.length === 0 || row < 1) return undefined;
  return colourAt(colours, (row - 1) % colours.reduce((sum, { rows }) => sum + rows, 0)).name;
}

/** The colour of a row, counted from 0 within the cycle. */
export function colourAt<T extends { rows: number }>(colours: readonly T[], row: number): T {
  let left = row;
  for (const colour of colours) {
    if (left < colour.rows) return colour;
    left -= colour.rows;
  }
  return colours.at(-1)!;
}
