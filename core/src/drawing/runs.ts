import { stripeNames } from '../craft/fabric';
import { bandsOf, topColourOf, type Band, type Piece } from '../piece';
import type { DrawnRound, RowBand, RowLines } from './parts';

/** Rows of one stitch and one colour. */
interface AlikeRows {
  band: Band;
  from: number;
  to: number;
  colour: string | undefined;
  /** Whether that is its own, whatever its piece is worked in. */
  own?: true;
}

/** The fabrics and colours of a piece's rows as they are drawn; nothing where it is of one. */
export function bandsDrawn(piece: Piece, from = 1, to = piece.rows): Pick<RowLines, 'bands'> {
  const runs = runsOf(piece);
  if (runs.length === 1 && !piece.bands && runs[0]!.colour === undefined) return {};
  const names = [...new Set(runs.map(({ colour }) => colour))];
  const bands = runs.flatMap(({ band: { fabric, pattern }, colour, own, ...run }): RowBand[] => {
    const [first, last] = [Math.max(from, run.from), Math.min(to, run.to)];
    if (first > last) return [];
    const mm = piece.reach(last) - piece.reach(first - 1);
    const row = piece.fabric.stripes?.eachRow ? { row: first } : {};
    const tint = {
      ...(names.length > 1 ? { tint: names.indexOf(colour) } : {}),
      ...(colour ? { colour } : {}),
      ...(own ? { own } : {}),
    };
    return [{ stitch: fabric.stitch.id, ...(pattern ? { pattern } : {}), rows: last - first + 1, mm, ...row, ...tint }];
  });
  return { bands };
}

/** Its bands, each divided where the colour changes: stripes run on over them from the first row. */
export function runsOf(piece: Piece): AlikeRows[] {
  const before = known.get(piece);
  if (before) return before;
  const runs = runsAnew(piece);
  known.set(piece, runs);
  return runs;
}

/** A piece is asked for its runs once for every part that is drawn of it. */
const known = new WeakMap<Piece, AlikeRows[]>();

function runsAnew(piece: Piece): AlikeRows[] {
  const { stripes } = piece.fabric;
  const ends = piece.courses.map((course) => course.ends);
  const names = stripes && stripeNames(stripes, ends);
  const topOf = topColourOf(piece);
  const eachRow = stripes?.eachRow && !piece.colour;
  return bandsOf(piece).flatMap((band): AlikeRows[] => {
    const runs: AlikeRows[] = [];
    for (let row = band.from; row <= band.to; row += 1) {
      const top = topOf?.(row);
      // a piece that says its own colour has no stripes
      const colour = top ?? band.colour ?? piece.colour ?? names?.[row - 1];
      const last = runs.at(-1);
      if (last && last.colour === colour && !eachRow) last.to = row;
      else runs.push({ band, from: row, to: row, colour, ...(top ? { own: true } : {}) });
    }
    return runs;
  });
}

/** Which of its colours a row has, where there are several. */
export function tintsOf(piece: Piece): (row: number) => Pick<DrawnRound, 'tint' | 'colour'> {
  const runs = runsOf(piece);
  const names = [...new Set(runs.map(({ colour }) => colour))];
  const nameAt = (row: number) => runs.find(({ from, to }) => row >= from && row <= to)?.colour;
  return (row) => {
    const colour = nameAt(row);
    return { ...(names.length < 2 ? {} : { tint: names.indexOf(colour) }), ...(colour ? { colour } : {}) };
  };
}
