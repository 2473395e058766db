import type { Keys } from '@/parts/KeysPanel';

export const MAKE_KEYS: Keys = [
  ['Space or →', 'next row'],
  ['Backspace or ←', 'back a row'],
  ['M', 'measure'],
  ['N', 'note'],
  ['?', 'this list'],
];
