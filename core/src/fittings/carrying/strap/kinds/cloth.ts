import { chosen, derive } from '../../../../base/figure';
import { formatNumber } from '../../../../base/units';
import { strapStep, type StrapKind } from '../kind';

/** Cloth folded in four along its length and sewn down. */
export const cloth: StrapKind = {
  id: 'cloth',
  name: 'sewn cloth',
  columns: () => 100,
  stretch: 0,
  hangs: 'ends',
  make: (length, { options }) => {
    const width = chosen(Number(options.clothMm), 'mm', 'typed');
    const cut = derive('mm', 'cut wide = 4 × width', { width }, (v) => 4 * v.width);
    const size = `{cut:${formatNumber(length.value)}} × {cut:${formatNumber(cut.value)}}`;
    const text = `Cut a strip of cloth ${size}. Fold both long edges to the middle, fold it in half lengthwise and sew along the open edge.`;
    return {
      figures: { cut },
      steps: [strapStep(length, { text }, 25)],
      notions: [
        { name: 'cloth for the strap', size, count: 1 },
        { name: 'sewing thread', count: 1 },
      ],
    };
  },
};
