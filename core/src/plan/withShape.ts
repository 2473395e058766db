import { fittingsOn, type FittingSpec } from '../fittings';
import type { Plan } from './plan';
import { shapeDefinition } from '../shapes';

/**
 * A plan with another shape: its own options and the counts that were picked fall away. Fittings that do not belong on it
 * are parked, as they were set, and come back with a shape they belong on.
 */
export function withShape({ picks: _picks, parked: _parked, ...plan }: Plan, kind: string): Plan {
  const shape = plan.shape.kind === kind ? plan.shape : begunAs(kind);
  const all = [...(plan.fittings ?? []), ...(_parked ?? [])];
  const fittings = fittingsOn(shapeDefinition(kind)!, withoutTwins(all));
  const parked = withoutTwins(all).filter((one) => !fittings.includes(one));
  return { ...plan, shape, fittings, ...(parked.length > 0 ? { parked } : {}) };
}

/** A shape as it is chosen. */
export const begunAs = (kind: string): Plan['shape'] => ({ kind, ...shapeDefinition(kind)?.begins });

/** Each kind once: what is on the piece now before what was parked. */
function withoutTwins(list: readonly FittingSpec[]): FittingSpec[] {
  return list.filter(({ kind }, index) => list.findIndex((other) => other.kind === kind) === index);
}
