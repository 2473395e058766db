import { attempted } from '../../base/figure';
import type { Plan } from '../../plan/plan';
import { toMake } from '../../reckon/reckon';
import type { WorkedOut, Worked } from '../../reckon/types';
import { workOut } from '../../reckon/build';

/** What is to be done of a plan, and what it takes. */
export type ToMake = Pick<Worked, 'steps' | 'supplies'>;

/** A way to go on, reckoned; nothing where it cannot be. */
export function reckonedOrNot(plan: Plan): { out: WorkedOut; worked: () => ToMake } | undefined {
  const out = attempted(() => workOut(plan));
  return out && { out, worked: () => toMake(plan, out) };
}
