import { FITS, type Plan, type Way, type WaysAsk, mayBeProposed } from '@keep-snug/core';

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
  { id: 'all', name: 'shapes, hooks and fits' },
] as const;

export type Order = (typeof ORDERS)[number]['id'];
export type Scope = (typeof SCOPES)[number]['id'];

/** Half a millimetre and a whole one either side of the hook in use. */
const HOOK_STEPS = [-1, -0.5, 0, 0.5, 1];

export function askFor(plan: Plan, scope: Scope): WaysAsk {
  const { hookMm } = plan.fabric;
  const hooksMm = scope === 'shapes' ? [hookMm] : HOOK_STEPS.map((step) => hookMm + step).filter(mayBeProposed);
  return { plan, hooksMm, fits: scope === 'all' ? FITS.map(({ id }) => id) : [plan.fit.name] };
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
export function isTaken({ shape, hookMm, fit }: Way, plan: Plan): boolean {
  return plan.shape.kind === shape && plan.fabric.hookMm === hookMm && plan.fit.name === fit;
}
