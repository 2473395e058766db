import type { Keys } from '@/ui/notices/KeysPanel';
import { STAGES } from './stages';

/** Keys of the board; wide, all its views are seen at once. */
export const boardKeys = (wide: boolean): Keys => [
  [`1 to ${STAGES.length}`, `a stage: ${STAGES.map(({ name }) => name.toLowerCase()).join(', ')}`],
  ['F', wide ? 'the finished piece from another side' : 'the next view of the drawing'],
  ['W', 'workings of the figure that has the focus'],
  ['U, shift-U', 'undo, redo'],
  ['arrows', 'move a handle of the drawing by one stitch or row'],
  ['?', 'this list'],
];
