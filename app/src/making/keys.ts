import type { Keys } from '@/parts/KeysPanel';

export const MAKE_KEYS: Keys = [
  ['Space or →', 'next row'],
  ['Backspace or ←', 'back a row'],
  ['M', 'measure'],
  ['L', 'lost count'],
  ['W', 'weigh the ball'],
  ['N', 'note'],
  ['?', 'this list'],
];
