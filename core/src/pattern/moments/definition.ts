import type { Piece } from '../../piece';

/** What experienced hands do without being asked, said at the course it applies to (handbook 8, advice at its moment). */
export interface Moment {
  id: string;
  /** At which course of a piece, from 1; nothing where it does not apply. */
  at: (piece: Piece) => number | undefined;
  /** In words; by the piece, where they hang on how it is held. */
  says: string | ((piece: Piece) => string);
}
