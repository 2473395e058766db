import { sideOfTail, type TailedPiece } from '../piece';
import type { Part } from './parts';

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** How a piece lies: its rows one beside the other from the left, the first stitch on top, or one above the other. */
type Lying = 'x' | 'y';

/** The tails of a piece in rows, where they hang (handbook 4.4). */
export function tailsOf(piece: TailedPiece, stacked: Lying, { x, y, w, h }: Box): { start: Part; end: Part } {
  const [first, last] = [sideOfTail(piece, 'start'), sideOfTail(piece, 'end')];
  // beside each other, rows end on top where they would end at the left
  if (stacked === 'x')
    return {
      start: { type: 'tail', x, y: first === 'left' ? y : y + h, towards: 'left' },
      end: { type: 'tail', x: x + w, y: last === 'left' ? y : y + h, towards: 'right' },
    };
  const at = (side: 'left' | 'right', down: number): Part => ({
    type: 'tail',
    x: side === 'left' ? x : x + w,
    y: down,
    towards: side,
  });
  return { start: at(first, y + h), end: at(last, y) };
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
