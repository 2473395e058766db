import type { Keys } from '@/ui/notices/KeysPanel';

export const MAKE_KEYS: Keys = [
  ['Space, → or a clicker', 'next row'],
  ['Backspace or ←', 'back a row'],
  ['M', 'measure'],
  ['L', 'lost count'],
  ['W', 'weigh the ball'],
  ['N', 'note'],
  ['R', 'read rows aloud, or stop'],
  ['H', 'how many: say the count'],
  ['?', 'this list'],
];
