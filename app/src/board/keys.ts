import type { Keys } from '@/parts/KeysPanel';
import { STAGES } from './stages';

export const BOARD_KEYS: Keys = [
  [`1 to ${STAGES.length}`, `a stage: ${STAGES.map(({ name }) => name.toLowerCase()).join(', ')}`],
  ['F', 'the next view of the drawing'],
  ['W', 'workings of the figure that has the focus'],
  ['U, shift-U', 'take a change back, bring it again'],
  ['arrows', 'on a knob of the drawing: a stitch or a row more or less'],
  ['?', 'this list'],
];
