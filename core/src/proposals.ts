import { belongsOn, fittingDefinition } from './fittings';
import { PlanProblem } from './figure';
import type { Plan } from './plan';
import { shapeDefinition } from './shapes';
import { carrierDefinition, thingDefinition, type GoesWith } from './things';
import { withShape } from './withShape';
import { workOut } from './workOut';

/** Something that usually goes with what the plan is for, and the plan that has it. */
export interface Proposal {
  id: string;
  /** What it is called: "Saddle caddy", "Strap". */
  name: string;
  because: string;
  plan: Plan;
}

/**
 * What usually goes with a plan's item and with what carries it, where it is missing and can be made (handbook 1, 6).
 * @returns each with the plan that has it; none where nothing is missing
 */
export function proposalsFor(plan: Plan): Proposal[] {
  const sources = [
    thingDefinition(plan.thing.kind)?.goesWith,
    plan.carrier && carrierDefinition(plan.carrier.kind).goesWith,
  ];
  return sources.flatMap((goesWith) => {
    const proposal = goesWith && proposed(plan, goesWith);
    return proposal && isPossible(proposal.plan) ? proposal : [];
  });
}

function proposed(plan: Plan, { shape, fitting, because }: GoesWith): Proposal | undefined {
  if (shape && plan.shape.kind !== shape)
    return { id: shape, name: shapeDefinition(shape)!.name, because, plan: withShape(plan, shape) };
  const definition = fitting === undefined ? undefined : fittingDefinition(fitting);
  if (!definition || !belongsOn(shapeDefinition(plan.shape.kind)!, definition)) return undefined;
  const fittings = plan.fittings ?? [];
  if (fittings.some(({ kind }) => kind === definition.id)) return undefined;
  const parked = plan.parked?.find(({ kind }) => kind === definition.id);
  return {
    id: definition.id,
    name: definition.name,
    because,
    plan: { ...plan, fittings: [...fittings, parked ?? { kind: definition.id }] },
  };
}

function isPossible(plan: Plan): boolean {
  try {
    workOut(plan);
    return true;
  } catch (error) {
    if (error instanceof PlanProblem) return false;
    throw error;
  }
}
