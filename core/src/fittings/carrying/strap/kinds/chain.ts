import { CHAIN } from '../../../../craft/fabric';
import { alongChain, type StrapKind } from '../kind';

export const chain: StrapKind = {
  id: 'chain',
  name: 'a chain',
  columns: () => 1,
  stretch: CHAIN.stretch,
  hangs: 'ends',
  tails: 'sewn',
  make: (length, context) => alongChain(length, context),
};
