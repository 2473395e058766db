import { gaugeElsewhere } from '../craft/fabric';
import type { Plan } from './plan';
import type { ThingSpec } from '../craft/things';

/** A plan for another thing: what was tried round the one before tells nothing of it, and its counts are picked anew. */
export function withThing({ picks: _picks, ...plan }: Plan, thing: ThingSpec): Plan {
  const { gauge, ...fabric } = plan.fabric;
  return { ...plan, thing, fabric: gauge ? { ...fabric, gauge: gaugeElsewhere(gauge) } : fabric };
}
