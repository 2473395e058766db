import { attempt } from '../base/figure';
import { belongsOn, fittingDefinition } from '../fittings';
import type { Plan } from '../plan/plan';
import { SHAPES, shapeDefinition } from '../shapes';
import { barFault, carrierDefinition, isFlat, thingDefinition, type GoesWith } from '../craft/things';
import { withFitting } from '../plan/withFitting';
import { withShape } from '../plan/withShape';
import { workOut } from '../reckon/build';

/** Something that usually goes with what the plan is for, and the plan that has it. */
export interface Proposal {
  id: string;
  /** What it is called: "Over-the-rail caddy", "Strap". */
  name: string;
  because: string;
  plan: Plan;
}

/**
 * What usually goes with a plan's item and with what carries it, where it is missing and can be made (handbook 1, 6).
 * @returns each with the plan that has it; none where nothing is missing
 */
export const proposalsFor = (plan: Plan): Proposal[] => proposalsThat(isPossible, plan);

function proposalsThat(can: (plan: Plan) => boolean, plan: Plan): Proposal[] {
  const sources = [
    thingDefinition(plan.thing.kind)?.goesWith,
    plan.carrier && carrierDefinition(plan.carrier.kind).goesWith,
  ];
  return sources.flatMap((goesWith) => {
    const proposal = goesWith && proposed(plan, goesWith);
    return proposal && can(proposal.plan) ? proposal : [];
  });
}

/** Things and carriers bring no more than one each, and neither brings another. */
const MOST = 4;

/**
 * A plan with all that usually goes with its item and with what carries it: channels for tools, a saddle over a bar, a strap for
 * the body (handbook 1, 6).
 *
 * @returns the plan, and what came to it; the plan as it was where nothing did
 */
export function withWhatGoes(plan: Plan): { plan: Plan; added: readonly Proposal[] } {
  let now = plan;
  const added: Proposal[] = [];
  for (let turn = 0; turn < MOST; turn += 1) {
    const [next] = proposalsThat((one) => isPossible(measured(one)), now);
    if (!next) break;
    added.push(next);
    now = next.plan;
  }
  return { plan: now, added };
}

/** A bar that is still to be measured, taken as any. */
function measured({ carrier, ...plan }: Plan): Plan {
  if (carrier?.kind !== 'bar' || !barFault(carrier)) return carrier ? { ...plan, carrier } : plan;
  const size = isFlat(carrier) ? { width: ANY_BAR } : { section: 'round' as const, diameter: ANY_BAR };
  return { ...plan, carrier: { ...carrier, ...size } };
}

/** Any bar, to see whether something goes over one. */
const ANY_BAR = { mm: 40 };

function proposed(plan: Plan, { shape, fitting, because }: GoesWith): Proposal | undefined {
  if (shape && plan.shape.kind !== shape)
    return { id: shape, name: shapeDefinition(shape)!.name, because, plan: withShape(plan, shape) };
  const definition = fitting === undefined ? undefined : fittingDefinition(fitting);
  if (!definition || !belongsOn(shapeDefinition(plan.shape.kind)!, definition)) return undefined;
  if (plan.fittings?.some(({ kind }) => kind === definition.id)) return undefined;
  return { id: definition.id, name: definition.name, because, plan: withFitting(plan, definition.id) };
}

/**
 * The first shape that takes both a plan's item and a fitting that does not belong on the plan's own.
 * @returns the shape's name and the plan in it; nothing where there is none
 */
export function shapeTaking(plan: Plan, fitting: string): { name: string; plan: Plan } | undefined {
  const definition = fittingDefinition(fitting)!;
  return SHAPES.filter((shape) => belongsOn(shape, definition))
    .map((shape) => ({ name: shape.name, plan: withFitting(withShape(plan, shape.id), fitting) }))
    .find((candidate) => isPossible(candidate.plan));
}

const isPossible = (plan: Plan): boolean => attempt(() => workOut(plan)).ok;
