import type { Instruction } from '../../craft/fabric';
import type { MakingStep } from '../log';

/** Why a sitting may end after a step, from the best place on: the whole, a piece, a section, before another colour, any row. */
export type Ending = 'whole' | 'piece' | 'section' | 'colour' | 'row';

/** Where the work is best left after a step (handbook 7). */
export function endingAfter(steps: readonly MakingStep[], index: number): Ending {
  const [step, next] = [steps[index]!, steps[index + 1]];
  if (!next) return 'whole';
  if (next.piece !== step.piece || next.copy !== step.copy) return 'piece';
  if (next.section !== step.section) return 'section';
  return next.lead !== '' ? 'colour' : 'row';
}

/** A row in which stitches are made more or fewer: its place is lost when it is left in the middle. */
export const isShaping = ({ work }: MakingStep): boolean => work?.some(shapes) ?? false;

function shapes(one: Instruction): boolean {
  if (one.do === 'repeat') return one.of.some(shapes);
  return one.do === 'together' || (one.do === 'group' && one.parts.length !== one.over);
}
