import type { Foundation, Piece } from './piece';
import { TAIL_MM, yarnToCut, type Border, type Seam, type Sewing, type Work } from './work';

/** A tail by what it hangs from: a piece, a border, or what was made by itself; at its beginning or its end. */
export const tailOf = (of: string, end: 'start' | 'end'): string => `${of}:${end}`;

/**
 * The side of a piece in rows that a tail hangs at: the first where row 1 ended, or where it began of foundation stitches; the last where
 * its last row did (law, handbook 4.4).
 */
export function sideOfTail({ rows, foundation }: TailedPiece, end: 'start' | 'end'): 'left' | 'right' {
  if (end === 'start') return foundation.inOne ? 'right' : 'left';
  return rows % 2 === 1 ? 'left' : 'right';
}

/** What tails hang from. */
export type TailedPiece = { rows: number; foundation: Pick<Foundation, 'inOne'> };

/** What each tail must be at the least for what is sewn with it, mm, by its name (law, handbook 4.4). */
export function tailsAsked(works: readonly Work[]): Map<string, number> {
  const asked = new Map<string, number>();
  for (const work of works) {
    if (work.do !== 'seam' && work.do !== 'sew' && work.do !== 'border') continue;
    for (const tail of tailsUsed(work)) asked.set(tail, Math.max(TAIL_MM, yarnToCut(yarnEach(work))));
  }
  return asked;
}

/** What was left before pieces that are begun, mm, by its tail's name. */
const leftBefore = (pieces: readonly Pick<Piece, 'id' | 'leftMm'>[]): Map<string, number> =>
  new Map(pieces.flatMap(({ id, leftMm }) => (leftMm === undefined ? [] : [[tailOf(id, 'start'), leftMm] as const])));

/**
 * The same where some of the pieces are begun: a tail that hangs is as long as it was left, whatever is sewn with it now
 * (handbook 8, the worked part fixed as it is).
 */
export function tailsHanging(
  works: readonly Work[],
  pieces: readonly Pick<Piece, 'id' | 'leftMm'>[],
): Map<string, number> {
  const asked = tailsAsked(works);
  for (const [name, mm] of leftBefore(pieces)) if (mm > 0 && (asked.get(name) ?? 0) <= mm) asked.set(name, mm);
  return asked;
}

/** Sewn with yarn of its own where the tail that hangs is shorter than that takes. */
export function withOwnYarn(work: Work, pieces: readonly Pick<Piece, 'id' | 'leftMm'>[]): Work {
  if (work.do !== 'seam' && work.do !== 'sew') return work;
  const left = leftBefore(pieces);
  const short = tailsUsed(work).some((name) => (left.get(name) ?? Infinity) < yarnEach(work));
  if (!short) return work;
  if (work.do === 'sew') return { ...work, tails: [] };
  const { tail: _, ...seam } = work;
  return seam;
}

/** The tails something is sewn or worked with. */
export function tailsUsed(work: Seam | Sewing | Border): readonly string[] {
  if (work.do === 'sew') return work.tails ?? [];
  return work.tail ? [work.tail.name] : [];
}

/** Yarn it takes of each of its tails, mm. */
export function yarnEach(work: Seam | Sewing | Border): number {
  if (work.do === 'border') return work.tail?.mm ?? 0;
  return work.do === 'seam' ? work.mm * work.factor : work.mm / Math.max(1, tailsUsed(work).length);
}

/** Work with every tail left as long as what is sewn with it asks. */
export function withTails(works: readonly Work[], asked: ReadonlyMap<string, number>, of: string): Work[] {
  const left = (name: string) => {
    const leave = asked.get(name);
    return leave === undefined ? {} : { leave };
  };
  return works.map((work): Work => {
    if (work.do === 'make') return { ...work, ...left(tailOf(work.piece, 'start')) };
    if (work.do === 'fasten-off') return { ...work, ...left(tailOf(of, 'end')) };
    return work.do === 'again' ? { ...work, works: withTails(work.works, asked, work.as) } : work;
  });
}
