import type { Piece, Section } from '../piece';
import { roleOf } from './draw';
import type { ClothRole, CutRow } from './parts';
import { runsOf } from './runs';

interface CutAcross {
  /** The first row that is cut and the last; from a higher row to a lower one the cut runs down. */
  from: number;
  to: number;
  /** Where along its rows it is cut, a share of them from the left. */
  at: number;
  role: ClothRole;
}

/** The rows of a piece one after the other as a cut across them meets them, with their fabric’s colours. */
export function cutRows(piece: Piece, { from, to, at, role }: CutAcross): CutRow[] {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const met = runsOf(piece).flatMap((run): CutRow[] => {
    const [first, last] = [Math.max(low, run.from), Math.min(high, run.to)];
    if (first > last) return [];
    const mm = piece.reach(last) - piece.reach(first - 1);
    const own = run.own ? { own: run.own } : {};
    return [{ mm, role, row: first, share: [at, at], ...own, ...tinted(piece, run.colour) }];
  });
  return from > to ? met.reverse() : met;
}

/** The front of a piece in rounds from its upper edge down, and its back up again; `opening` where that is its chain. */
export function cutTube(piece: Piece, begins: 'below' | 'opening' = 'below'): CutRow[] {
  const [low, high] = begins === 'opening' ? [piece.rows, 1] : [1, piece.rows];
  return [
    ...cutRows(piece, { from: high, to: low, at: 1 / 4, role: 'wall' }),
    ...cutRows(piece, { from: low, to: high, at: 3 / 4, role: 'wall' }),
  ];
}

/** Sections that lie beside each other in rows as long as the piece: cut along its middle row. */
export function cutAlong(piece: Piece, sections: readonly Section[]): CutRow[] {
  const middle = Math.ceil(piece.rows / 2);
  const { colour } = runsOf(piece).find(({ to }) => to >= middle)!;
  const whole = piece.sections.reduce((sum, { mm }) => sum + mm, 0);
  const before = piece.sections.slice(0, piece.sections.indexOf(sections[0]!)).reduce((sum, { mm }) => sum + mm, 0);
  const mm = sections.reduce((sum, section) => sum + section.mm, 0);
  return [
    {
      mm,
      role: roleOf(sections[0]!.name),
      row: middle,
      share: [before / whole, (before + mm) / whole],
      ...tinted(piece, colour),
    },
  ];
}

function tinted(piece: Piece, colour: string | undefined): Pick<CutRow, 'tint' | 'colour'> {
  const names = [...new Set(runsOf(piece).map((run) => run.colour))];
  const tint = names.length > 1 && names.includes(colour) ? { tint: names.indexOf(colour) } : {};
  return { ...tint, ...(colour ? { colour } : {}) };
}

/** What is met within so many mm, and what beyond them. */
export function cutApart(rows: readonly CutRow[], mm: number): [CutRow[], CutRow[]] {
  const [near, far]: [CutRow[], CutRow[]] = [[], []];
  let left = mm;
  for (const row of rows) {
    const here = Math.max(0, Math.min(row.mm, left));
    left -= here;
    if (here > 0) near.push({ ...row, mm: here });
    if (here < row.mm) far.push({ ...row, mm: row.mm - here });
  }
  return [near, far];
}
