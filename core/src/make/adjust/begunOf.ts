import { begunCourses, runsOf, type BegunSpec } from '../../plan/begun';
import { stitchDefinition } from '../../craft/fabric';
import type { Piece } from '../../piece';
import type { Measured } from './measures';

/** Courses laid under a tape tell their height; of fewer their edge is too large a part. */
const LEAST_COURSES = 6;

/**
 * Pieces as far as they are worked, as a plan carries them.
 *
 * @param courses how many of each piece, by its id
 * @param measures what the tape said since the last decision
 * @param before what the plan followed so far carries
 * @param left what was left before each piece to sew with, mm
 */
export function begunOf(
  pieces: readonly Piece[],
  courses: ReadonlyMap<string, number>,
  measures: readonly Measured[] = [],
  before: readonly BegunSpec[] = [],
  left: ReadonlyMap<string, number> = new Map(),
): BegunSpec[] {
  return pieces.flatMap((piece) => {
    const done = Math.min(piece.rows, courses.get(piece.id) ?? 0);
    // a piece in a stitch that is no pattern has nothing that another plan could change
    if (done < 1 || !stitchDefinition(piece.fabric.stitch.id)) return [];
    const mm = heightOf(piece, done, measures) ?? heightBefore(piece, done, before);
    const tailMm = left.get(piece.id);
    return [{ piece: piece.id, runs: runsOf(piece, done, mm), ...(tailMm === undefined ? {} : { tailMm }) }];
  });
}

/** What so many courses measure by the last tape laid along them from the bottom, the few since then as planned. */
function heightOf(piece: Piece, done: number, measures: readonly Measured[]): number | undefined {
  const last = measures
    .filter(({ piece: id, what, count = 0 }) => id === piece.id && what === 'height' && count <= done)
    .at(-1);
  const counted = last?.count ?? 0;
  return last && counted >= LEAST_COURSES ? last.mm + piece.reach(done) - piece.reach(counted) : undefined;
}

function heightBefore(piece: Piece, done: number, before: readonly BegunSpec[]): number | undefined {
  const spec = before.find((one) => one.piece === piece.id);
  if (!spec || spec.runs.some(({ mm }) => mm === undefined)) return undefined;
  const counted = begunCourses(spec);
  if (counted > done) return undefined;
  return spec.runs.reduce((sum, { mm }) => sum + mm!, 0) + piece.reach(done) - piece.reach(counted);
}
