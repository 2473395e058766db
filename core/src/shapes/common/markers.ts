const AT_BOTH_ENDS = 'Place a stitch marker at each end of this row';

/** The note of a row that ends a section: both its ends are marked. */
export const markBothEnds = (what: string): string => `${AT_BOTH_ENDS}${what}`;

/** The note of a last round that one face goes on from: the tube is laid flat, and both its folds are marked. */
export const MARK_FOLDS =
  'Lay it flat, the chain along its bottom. Work on to the fold you are nearest, or pull out to it. Mark this fold and the other';

/** The note of a first round: its beginning is marked, and the marker goes up with the work. */
export const MARK_FIRST_STITCH = 'Place a stitch marker in the first stitch. Move it up every round.';

/** How many markers hang in the work by a piece's own notes, all at once: what to have at hand. */
export function markersIn(notes: Readonly<Record<number, string>>): number {
  return Object.values(notes).reduce(
    (sum, note) =>
      sum +
      (note.includes(AT_BOTH_ENDS) || note.includes(MARK_FOLDS) ? 2 : 0) +
      (note.includes(MARK_FIRST_STITCH) ? 1 : 0),
    0,
  );
}
