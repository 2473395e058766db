import type { Piece } from '../piece';
import type { Part } from './parts';

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** How a piece lies: its rows one beside the other from the left, the first stitch on top, or one above the other. */
type Lying = 'x' | 'y';

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

/** Where a tube's first tail hangs: at its lower edge, at its opening, or in the floor it grew out of. */
export type TubeBegins = 'bottom' | 'opening' | 'floor';

/**
 * The tails of a tube laid flat, at the fold where its rounds begin: the last at the edge its last round made, the first
 * at the other, or in the floor (`floorTail`).
 */
export function tubeTails(begins: TubeBegins, { x, y, h }: Omit<Box, 'w'>): Part[] {
  const at = (down: number): Part => ({ type: 'tail', x, y: y + down, towards: 'left' });
  if (begins === 'floor') return [at(0)];
  return begins === 'bottom' ? [at(h), at(0)] : [at(0), at(h)];
}

/** The first tail of a floor, in its middle: at the ring, or at the end of the chain. */
export const floorTail = (x: number, y: number): Part => ({ type: 'tail', x, y, towards: 'right' });
