import { isFinished, MAKE_FORMAT, type Make, type Plan } from '@keep-snug/core';
import { useEvents } from '@/state/events';
import { useLibrary, useShelf } from '@/state/library';

/** Begins a make: the plan as it stands now is what will be followed. */
export function startMake(planId: string, plan: Plan): string {
  const make: Make = { format: MAKE_FORMAT, title: plan.title, planId, plan, startedAt: new Date().toISOString() };
  return useLibrary.getState().add('makes', make);
}

/** The make of a plan that is on the hook, if there is one. */
export function useMakeOf(planId: string): string | undefined {
  const makes = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  return makes
    .filter(([id, held]) => held.body.planId === planId && !isFinished(byMake[id] ?? []))
    .sort(([, a], [, b]) => b.body.startedAt.localeCompare(a.body.startedAt))[0]?.[0];
}
