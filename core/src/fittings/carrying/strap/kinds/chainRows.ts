import { chosen, derive } from '../../../../base/figure';
import { rowPiece } from '../../../../shapes/common/rowPiece';
import { plainRows } from '../../../common';
import type { StrapKind } from '../kind';

/** As long as its chain, and so many rows wide: a piece of its own, so that each long row is ticked by itself. */
export const chainRows: StrapKind = {
  id: 'chain-rows',
  name: 'a chain with rows along it',
  columns: (n) => n + 1,
  stretch: 0.05,
  hangs: 'ends',
  tails: 'sewn',
  widens: true,
  // an odd row ends at the far end, where a chain began; foundation stitches began at the other one
  tailsAtOneEnd: (rows, foundation) => (rows % 2 === 1) === (foundation === 'chain'),
  make: (length, { fabric, options, schools }) => {
    const plain = plainRows(fabric);
    const stitches = derive('stitches', 'n = length / w', { length, w: plain.stitchWidth }, (v) =>
      Math.max(2, Math.round(v.length / v.w)),
    );
    const rows = chosen(Number(options.rows), 'rows', 'typed');
    const figure = derive('mm', 'width = rows × h', { rows, h: plain.rowHeight }, (v) => v.rows * v.h);
    return {
      figures: {},
      steps: [],
      piece: rowPiece(
        {
          id: 'strap',
          name: 'Strap',
          fabric: plain,
          stitches,
          lengths: [{ name: 'strap', figure }],
          edge: 'free',
        },
        { schools },
      ),
      notions: [],
    };
  },
};
