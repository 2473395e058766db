import { chosen, derive } from '../../../../base/figure';
import { plainRows, smallPiece } from '../../../common';
import type { StrapKind } from '../kind';

export const rows: StrapKind = {
  id: 'rows',
  name: 'rows across',
  columns: (n) => n,
  stretch: 0.06,
  hangs: 'ends',
  tails: 'sewn',
  widens: true,
  make: (length, { fabric, options, schools }) => {
    const plain = plainRows(fabric);
    const width = derive(
      'mm',
      'width = stitches × w',
      { n: chosen(Number(options.rows), 'stitches', 'typed'), w: plain.stitchWidth },
      (v) => v.n * v.w,
    );
    return {
      figures: {},
      steps: [],
      piece: smallPiece({ id: 'strap', name: 'Strap', fabric: plain, width, length, edge: 'free', schools }),
      notions: [],
    };
  },
};
