import type { Built, Piece } from '../shapes';
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
  return { ...piece, courses };
}

function withNotes(piece: Piece, placed: readonly Placed[]): Piece {
  const more = placed.flatMap(({ notes }) => notes ?? []).filter((note) => note.piece === piece.id);
  if (more.length === 0) return piece;
  const notes = { ...piece.notes };
  for (const { row, text } of more) notes[row] = notes[row] ? `${notes[row]} ${text}` : text;
  return { ...piece, notes };
}
