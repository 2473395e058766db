import { stripeNames } from '../fabric';
import { bandsOf, type Band, type Piece } from '../piece';
import type { RowBand, RowLines } from './parts';

/** Rows of one stitch and one colour. */
export interface Run {
  band: Band;
  from: number;
  to: number;
  colour: string | undefined;
}

/** The fabrics and colours of a piece's rows as they are drawn; nothing where it is of one. */
export function bandsDrawn(piece: Piece, from = 1, to = piece.rows): Pick<RowLines, 'bands'> {
  const runs = runsOf(piece);
  if (runs.length === 1 && !piece.bands && runs[0]!.colour === undefined) return {};
  const names = [...new Set(runs.map(({ colour }) => colour))];
  const bands = runs.flatMap(({ band: { fabric, pattern }, colour, ...run }): RowBand[] => {
    const [first, last] = [Math.max(from, run.from), Math.min(to, run.to)];
    if (first > last) return [];
    const mm = piece.reach(last) - piece.reach(first - 1);
    const row = piece.fabric.stripes?.eachRow ? { row: first } : {};
    const tint = { ...(names.length > 1 ? { tint: names.indexOf(colour) } : {}), ...(colour ? { colour } : {}) };
    return [{ stitch: fabric.stitch.id, ...(pattern ? { pattern } : {}), rows: last - first + 1, mm, ...row, ...tint }];
  });
  return { bands };
}

/** Its bands, each divided where the colour changes: stripes run on over them from the first row. */
export function runsOf(piece: Piece): Run[] {
  const before = known.get(piece);
  if (before) return before;
  const runs = runsAnew(piece);
  known.set(piece, runs);
  return runs;
}

/** A piece is asked for its runs once for every part that is drawn of it. */
const known = new WeakMap<Piece, Run[]>();

const rowByRow = (band: Band): Run[] =>
  Array.from({ length: band.to - band.from + 1 }, (_, index) => {
    const row = band.from + index;
    return { band, from: row, to: row, colour: band.colour };
  });

function runsAnew(piece: Piece): Run[] {
  const { stripes } = piece.fabric;
  const names =
    stripes &&
    stripeNames(
      stripes,
      piece.courses.map(({ ends }) => ends),
    );
  if (stripes?.eachRow && !piece.colour) return bandsOf(piece).flatMap(rowByRow);
  return bandsOf(piece).flatMap((band): Run[] => {
    // a piece that says its own colour has no stripes
    if (!names || piece.colour) return [{ band, from: band.from, to: band.to, colour: band.colour ?? piece.colour }];
    const runs: Run[] = [];
    for (let row = band.from; row <= band.to; row += 1) {
      const colour = names[row - 1];
      const last = runs.at(-1);
      if (last && last.colour === colour) last.to = row;
      else runs.push({ band, from: row, to: row, colour });
    }
    return runs;
  });
}
