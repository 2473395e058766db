import { formatNumber } from '../../../../base/units';
import { strapStep, type StrapKind } from '../kind';

export const bought: StrapKind = {
  id: 'bought',
  name: 'bought, on swivel hooks',
  columns: () => 100,
  stretch: 0,
  hangs: 'own-hooks',
  make: (length) => ({
    figures: {},
    steps: [strapStep(length, { text: 'Clip the strap’s swivel hooks into two rings sewn to the anchors.' }, 6)],
    notions: [
      { name: 'strap with swivel hooks', size: `{cut:${formatNumber(length.value)}}`, count: 1 },
      { name: 'rings for the hooks', count: 2 },
    ],
  }),
};
