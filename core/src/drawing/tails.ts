import type { Piece } from '../piece';
import type { Part } from './parts';

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** How a piece lies: its rows one beside the other from the left, the first stitch on top, or one above the other. */
export type Lying = 'x' | 'y';

/**
 * The tails of a piece in rows, where they hang: the first where row 1 ends, the other where its last row does (handbook 4.4).
 * The first row goes from right to left, and each turn sends the hook back.
 */
export function tailsOf(
  { rows }: Pick<Piece, 'rows'>,
  stacked: Lying,
  { x, y, w, h }: Box,
): { start: Part; end: Part } {
  const odd = rows % 2 === 1;
  if (stacked === 'x')
    return {
      start: { type: 'tail', x, y, towards: 'left' },
      end: { type: 'tail', x: x + w, y: odd ? y : y + h, towards: 'right' },
    };
  return {
    start: { type: 'tail', x, y: y + h, towards: 'left' },
    end: odd ? { type: 'tail', x, y, towards: 'left' } : { type: 'tail', x: x + w, y, towards: 'right' },
  };
}
