import type { FabricSpec } from '../../../craft/fabric';
import type { Piece } from '../../../shapes';
import { coloursOf } from '../colours';
import type { TailsDefinition } from './definition';
import { inside } from './inside';
import { knot } from './knot';
import { over } from './over';
import { weave } from './weave';

export type { TailsDefinition } from './definition';

/** What can be done with the tails of a change of colour, the usual first. */
export const TAILS: readonly TailsDefinition[] = [weave, over, knot, inside];

/** What a plan does with them; they are woven in where it does not say. */
export const tailsDone = ({ tails }: Pick<FabricSpec, 'tails'>): TailsDefinition =>
  TAILS.find(({ id }) => id === tails) ?? weave;

/** Minutes for the tails of every change of colour within the pieces (prior, ours). */
export function tailMinutes(spec: FabricSpec, pieces: readonly Piece[]): number {
  return tailsDone(spec).minutes * pieces.reduce((sum, piece) => sum + piece.times * changesIn(piece, spec), 0);
}

/** Rows of a piece that are begun in another colour than the one before. */
export function changesIn(piece: Piece, spec: FabricSpec): number {
  const colourOf = coloursOf(piece, spec);
  return piece.courses.filter((_, index) => index > 0 && colourOf(index + 1) !== colourOf(index)).length;
}
