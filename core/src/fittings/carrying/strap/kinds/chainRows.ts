import { work, type Instruction } from '../../../../craft/fabric';
import { alongChain, type StrapKind } from '../kind';

export const chainRows: StrapKind = {
  id: 'chain-rows',
  name: 'a chain with rows along it',
  columns: (n) => n + 1,
  stretch: 0.05,
  hangs: 'ends',
  tails: 'sewn',
  widens: true,
  // an odd row ends at the far end, where the chain began
  tailsAtOneEnd: (rows) => rows % 2 === 1,
  make: (length, context) =>
    alongChain(length, context, (chains, laid) => {
      const first: Instruction[] = [{ do: 'skip', times: 1, into: 'chain' }, work('single', chains - 1, 'chain')];
      const row: Instruction[] = [{ do: 'turning-chain', chains: 1, counts: false }, work('single', chains - 1)];
      const more = Array.from({ length: Number(context.options.rows) - 1 }, () => row);
      return [...laid, first, ...more];
    }),
};
