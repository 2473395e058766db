import { bandsOf, type Piece } from '../../piece';
import type { BegunRun, BegunSpec } from '../types';

/** How many courses are worked. */
export const begunCourses = ({ runs }: BegunSpec): number => runs.reduce((sum, { courses }) => sum + courses, 0);

/**
 * The first courses of a piece as runs, those alike as one.
 *
 * @param courses how many of them; no more than there are
 * @param mm what the tape said of them together, where it did
 */
export function runsOf(piece: Piece, courses: number, mm?: number): BegunRun[] {
  const runs: BegunRun[] = [];
  for (let row = 1; row <= courses; row += 1) {
    const run = runAt(piece, row);
    const last = runs.at(-1);
    if (last && isAlike(last, run)) last.courses += 1;
    else runs.push(run);
  }
  if (mm === undefined) return runs;
  const reached = piece.reach(courses);
  let done = 0;
  return runs.map((run) => {
    const share = (piece.reach(done + run.courses) - piece.reach(done)) / reached;
    done += run.courses;
    return { ...run, mm: Math.round(10 * share * mm) / 10 };
  });
}

function runAt(piece: Piece, row: number): BegunRun {
  const { ends, section } = piece.courses[row - 1]!;
  const { fabric, pattern, hookMm, colour } = bandsOf(piece).find(({ from, to }) => row >= from && row <= to)!;
  return {
    courses: 1,
    stitches: ends,
    stitch: fabric.stitch.id,
    ...(pattern ? { pattern } : {}),
    ...(hookMm === undefined ? {} : { hookMm }),
    ...(colour === undefined ? {} : { colour }),
    section,
  };
}

const isAlike = ({ courses: _, mm: _mm, ...one }: BegunRun, { courses: _c, mm: _m, ...other }: BegunRun): boolean =>
  JSON.stringify(one) === JSON.stringify(other);
