import { formatNumber } from '../../../../base/units';
import { cutFor, strapStep, type StrapKind } from '../kind';
import { TWIST } from '../../../common';

export const twisted: StrapKind = {
  id: 'twisted',
  name: 'a twisted cord',
  columns: () => 3,
  stretch: 0.03,
  hangs: 'ends',
  tails: 'tied',
  make: (length) => {
    const cut = cutFor('cut = 2 × 1.35 × finished, of each pair', TWIST, length);
    const says = `cut two pairs of strands {cut:${formatNumber(cut.value)}} long, twist them hard, fold at the middle, let them wind round each other, knot both ends.`;
    return {
      figures: { cut },
      notions: [],
      steps: [strapStep(length, { does: [{ do: 'sew', id: 'twist', mm: 2 * cut.value, made: true, says }] }, 12)],
    };
  },
};
