import { tallyRow, yarnNames, yarnOf, type FabricSpec } from '../fabric';
import { bandsOf, fabricAt } from '../piece';
import type { Piece } from '../shapes';
import { takenEach, yarnIn } from './yarn';

export interface ColourNeed {
  name: string;
  metres: number;
  grams: number;
  rows: number;
}

/**
 * Yarn by colour from the rows each holds: of bands and pieces their own, else colours follow each other for so many rows,
 * over and over, from the first row of every piece; each stitch at its own rate (law, handbook 7). What is not in rows is of
 * the main colour.
 */
export function byColour(spec: FabricSpec, pieces: readonly Piece[], metres: number, grams: number): ColourNeed[] {
  const { colours } = spec;
  if (!colours?.length && !pieces.some(isColoured)) return [];
  const { scale } = takenEach(spec, pieces[0]?.fabric);
  const strands = yarnOf(spec).strands ?? 1;
  const own = new Map<string, number>();
  const rows = new Map<string, number>();
  const add = (to: Map<string, number>, name: string, count: number) => to.set(name, (to.get(name) ?? 0) + count);
  for (const piece of pieces) {
    const colourOf = coloursOf(piece, spec);
    piece.courses.forEach(({ instructions }, index) => {
      const name = colourOf(index + 1) ?? mainColour(spec);
      const each = (yarnIn(tallyRow(instructions), fabricAt(piece, index + 1), scale) * strands) / 1000;
      const seconds = piece.secondColour ? 1 : 0;
      add(own, name, (piece.times - seconds) * each);
      add(rows, name, piece.times - seconds);
      if (piece.secondColour) {
        add(own, piece.secondColour, each);
        add(rows, piece.secondColour, 1);
      }
    });
  }
  const all = [...own.values()].reduce((sum, one) => sum + one, 0);
  const rest = Math.max(0, metres - all);
  const main = mainColour(spec);
  // foundations, borders, seams and tails are of the main colour, where it is worked with at all
  const restOf = (name: string, mm: number) => (own.has(main) ? (name === main ? rest : 0) : (rest * mm) / all);
  return [...own].map(([name, each]) => {
    const needs = each + restOf(name, each);
    return { name, metres: needs, grams: metres > 0 ? (grams * needs) / metres : 0, rows: rows.get(name)! };
  });
}

/** What is not said to be of another colour, in words. */
const mainColour = (spec: FabricSpec): string => {
  const { colour, name } = yarnOf(spec);
  return spec.colours?.[0]?.name ?? colour ?? name ?? 'the main colour';
};

/** Whether a piece says a colour of its own. */
const isColoured = ({ bands, colour, secondColour }: Piece): boolean =>
  colour !== undefined || secondColour !== undefined || (bands?.some((band) => band.colour) ?? false);

/** The colour of every row of a piece, counted from 1: its band's or its own, else the plan's in turn; none where there is one yarn. */
export function coloursOf(piece: Piece, spec: FabricSpec): (row: number) => string | undefined {
  const bands = bandsOf(piece);
  if (!isColoured(piece)) return (row) => rowColour(spec.colours, row) ?? heldTogether(spec);
  return (row) => bands.find(({ from, to }) => row >= from && row <= to)?.colour ?? mainColour(spec);
}

/** Different yarns held together are told like a colour; one yarn needs no name. */
const heldTogether = ({ yarns }: FabricSpec): string | undefined =>
  yarns?.length ? `${yarnNames(yarns)} held together` : undefined;

/** The colour of a row, counted from 1: colours follow each other over and over. */
function rowColour(colours: FabricSpec['colours'], row: number): string | undefined {
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
