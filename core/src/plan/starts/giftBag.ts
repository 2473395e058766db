import type { StartAsk, StartDefinition } from './definition';

/** The asks of a bag whose size is wished, not measured. */
export const bagAsks = (widthMm: number, heightMm: number): StartAsk[] => [
  { kind: 'length', at: 'thing.width', usualMm: widthMm, stands: true },
  { kind: 'length', at: 'thing.height', usualMm: heightMm, stands: true },
];

export const giftBag: StartDefinition = {
  id: 'gift-bag',
  name: 'Gift bag',
  says: 'closed by a drawstring',
  asks: bagAsks(120, 150),
  plan: {
    thing: { kind: 'loose', name: 'gift' },
    shape: { kind: 'round-chain' },
    fit: { name: 'roomy' },
    fittings: [{ kind: 'drawstring' }],
  },
};
