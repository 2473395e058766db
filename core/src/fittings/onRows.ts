import type { Instruction, WorkedFabric } from '../craft/fabric';
import { fabricAt } from '../piece';
import type { Built, Course, Piece } from '../shapes';
import type { Placed } from './definition';

/** Rows as the fittings have them worked, and what they have to say at the end of some: parts of their pieces from here on. */
export function onRows<P extends Placed>({
  built,
  placed,
}: {
  built: Built;
  placed: P[];
}): { built: Built; placed: P[] } {
  if (!placed.some(({ rows, notes }) => rows.length > 0 || notes)) return { built, placed };
  const worked = (piece: Piece) => withNotes(withRows(piece, placed), placed);
  return {
    built: { ...built, pieces: built.pieces.map(worked) },
    placed: placed.map((one) => (one.pieces ? { ...one, pieces: one.pieces.map(worked) } : one)),
  };
}

function withRows(piece: Piece, placed: readonly Placed[]): Piece {
  const changed = placed.flatMap(({ rows }) => rows).filter((one) => one.piece === piece.id);
  if (changed.length === 0) return piece;
  const courses = [...piece.courses];
  for (const { row, instructions } of changed) courses[row - 1] = { ...courses[row - 1]!, instructions };
  // what sits between groups finds none upon rows that were changed: there it begins anew
  const changedRows = new Set(changed.map(({ row }) => row));
  for (const row of changedRows) {
    const next = courses[row];
    if (next && !changedRows.has(row + 1)) courses[row] = begunAnew(next, fabricAt(piece, row + 1));
  }
  return { ...piece, courses };
}

/** A course as it is worked upon plain stitches, where it is not the same as upon its own pattern. */
function begunAnew(course: Course, { stitch }: WorkedFabric): Course {
  if (!isBetweenGroups(course.instructions)) return course;
  const context = { stitches: course.ends, course: 1, below: 'plain' as const, turningChainCounts: false };
  if (course.kind === 'row') return { ...course, instructions: stitch.row(context) };
  const [first] = course.instructions;
  return {
    ...course,
    instructions: [
      ...(first?.do === 'turning-chain' ? [first] : []),
      ...stitch.round(context),
      ...course.instructions.filter((one) => one.do === 'join'),
    ],
  };
}

const isBetweenGroups = (instructions: readonly Instruction[]): boolean =>
  instructions.some(
    (one) => (one.do === 'group' && one.into === 'gap') || (one.do === 'repeat' && isBetweenGroups(one.of)),
  );

function withNotes(piece: Piece, placed: readonly Placed[]): Piece {
  const more = placed.flatMap(({ notes }) => notes ?? []).filter((note) => note.piece === piece.id);
  if (more.length === 0) return piece;
  const notes = { ...piece.notes };
  for (const { row, text } of more) notes[row] = notes[row] ? `${notes[row]} ${text}` : text;
  return { ...piece, notes };
}
