import { work } from '../../../../craft/fabric';
import { alongChain, type StrapKind } from '../kind';

export const cord: StrapKind = {
  id: 'cord',
  name: 'a two-loop cord',
  columns: () => 2,
  stretch: 0.06,
  hangs: 'ends',
  tails: 'sewn',
  make: (length, context) => alongChain(length, context, (chains) => [[work('two-loop', chains, 'itself')]]),
};
