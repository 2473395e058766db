import { gaugeElsewhere } from '../craft/fabric';
import { titleFor } from './newPlan';
import type { Plan } from './plan';
import type { ThingSpec } from '../craft/things';

/** What a copy of a plan ends with. */
const COPIED = / \(copy(?: \d+)?\)$/;

/**
 * A plan for another thing: what was tried round the one before tells nothing of it, and its counts are picked anew. A name that
 * nobody typed goes with the thing.
 */
export function withThing({ picks: _picks, ...plan }: Plan, thing: ThingSpec): Plan {
  const { gauge, ...fabric } = plan.fabric;
  const isOwnName = plan.title.replace(COPIED, '') !== titleFor(plan.thing);
  return {
    ...plan,
    ...(isOwnName ? {} : { title: titleFor(thing) }),
    thing,
    fabric: gauge ? { ...fabric, gauge: gaugeElsewhere(gauge) } : fabric,
  };
}
