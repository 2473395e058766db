import type { KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { fabricMade } from './learnt';
import { planAsked } from './mend';
import { unpinned } from './pinned';

/**
 * The plan of a make for making it again, with what was learnt from it: as it was meant, not as it was mended, on the gauge
 * that came out, and with the counts that suit it (handbook 10). Where nothing was measured it is the plan itself.
 *
 * @param plan the plan the make was begun with
 * @throws PlanProblem where the plan followed cannot be reckoned
 */
export function planAgain(plan: Plan, events: readonly KeptEvent[]): Plan {
  const { begun: _begun, ...meant } = planAsked(plan, events);
  const gauge = fabricMade(plan, events)?.gauge;
  if (!gauge) return unpinned(meant);
  const { picks: _picks, ...free } = meant;
  return { ...free, fabric: { ...meant.fabric, gauge } };
}
