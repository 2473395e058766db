import {
  FITS,
  hooksBeside,
  type AtHand,
  type FabricSpec,
  type Plan,
  type Way,
  type WaysAsk,
  mayBeProposed,
  yarnOf,
} from '@keep-snug/core';

/** How ways can be put in order. */
export const ORDERS = [
  { id: 'worth', name: 'best first' },
  { id: 'chance', name: 'best fit first' },
  { id: 'time', name: 'quickest first' },
  { id: 'yarn', name: 'least yarn first' },
] as const;

/** What is compared. */
export const SCOPES = [
  { id: 'shapes', name: 'shapes' },
  { id: 'hooks', name: 'shapes and hooks' },
  { id: 'yarns', name: 'shapes and your yarns' },
  { id: 'all', name: 'shapes, hooks and fits' },
] as const;

export type Order = (typeof ORDERS)[number]['id'];
export type Scope = (typeof SCOPES)[number]['id'];

/** Half a millimetre and a whole one either side of the hook in use. */
const HOOK_STEPS = [-1, -0.5, 0, 0.5, 1];

/** As many hooks as are compared. */
const MOST_HOOKS = 7;

/** @param others the plan’s fabric in the yarns of the box */
export function askFor(plan: Plan, scope: Scope, atHand: AtHand = {}, others: readonly FabricSpec[] = []): WaysAsk {
  const { fabric, fit } = plan;
  const fits = scope === 'all' ? FITS.map(({ id }) => id) : [fit.name];
  if (scope === 'shapes') return { plan, hooksMm: [fabric.hookMm], fits };
  if (scope === 'yarns') return { plan, fabrics: [fabric, ...others].slice(0, MOST_FABRICS), fits, atHand };
  return { plan, hooksMm: hooksFor(fabric.hookMm, atHand), fits, atHand };
}

/** As many yarns as are compared. */
const MOST_FABRICS = 6;

/** Hooks at hand that are near, and with them the next sizes. */
function hooksFor(hookMm: number, atHand: AtHand): number[] {
  const steps = HOOK_STEPS.map((step) => hookMm + step).filter(mayBeProposed);
  const hooks = [hookMm, ...hooksBeside(atHand, hookMm, 1), ...steps];
  return [...new Set(hooks)].slice(0, Math.max(MOST_HOOKS, steps.length)).sort((a, b) => a - b);
}

/** Of every shape the two best ways, and the plan’s own; of impossible ones one, with its reason. */
export function bestOfEach(ways: readonly Way[], plan: Plan): Way[] {
  const shown = new Map<string, number>();
  return ways.filter((way) => {
    const { shape, possible } = way;
    const before = shown.get(shape) ?? 0;
    shown.set(shape, before + 1);
    return before < (possible ? 2 : 1) || isTaken(way, plan);
  });
}

const BY: Readonly<Record<Exclude<Order, 'worth'>, (way: Way) => number>> = {
  chance: ({ chance = 0 }) => -chance,
  time: ({ minutes = 0 }) => minutes,
  yarn: ({ metres = 0 }) => metres,
};

/** Ways in the order asked for; the reckoning's own is best first. */
export function sorted(ways: readonly Way[], order: Order): Way[] {
  if (order === 'worth') return [...ways];
  const by = BY[order];
  return [...ways].sort((a, b) => by(a) - by(b));
}

/** Whether a way is the plan as it stands. */
export function isTaken({ shape, hookMm, fit, yarn }: Way, plan: Plan): boolean {
  const { fabric } = plan;
  return (
    plan.shape.kind === shape &&
    fabric.hookMm === hookMm &&
    plan.fit.name === fit &&
    (yarnOf(fabric).name ?? '') === yarn
  );
}
