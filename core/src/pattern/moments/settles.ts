import { fabricAt } from '../../piece';
import type { Moment } from './definition';

export const settles: Moment = {
  id: 'settles',
  at: (piece) => {
    const row = piece.courses.findIndex((_, index) => fabricAt(piece, index + 1).stitch.settlesIn !== undefined) + 1;
    if (row === 0) return undefined;
    return row + fabricAt(piece, row).stitch.settlesIn! <= piece.rows + 1 ? row : undefined;
  },
  says: 'It curls at first, and settles after a few of these.',
};
