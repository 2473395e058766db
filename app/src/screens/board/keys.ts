import type { Keys } from '@/ui/notices/KeysPanel';
import { STAGES } from './stages';

export const BOARD_KEYS: Keys = [
  [`1 to ${STAGES.length}`, `a stage: ${STAGES.map(({ name }) => name.toLowerCase()).join(', ')}`],
  ['F', 'the next view of the drawing'],
  ['W', 'workings of the figure that has the focus'],
  ['U, shift-U', 'undo, redo'],
  ['arrows', 'move a handle of the drawing by one stitch or row'],
  ['?', 'this list'],
];
