import { byCode, isFinished, MAKE_FORMAT, pinned, type Make, type Plan } from '@keep-snug/core';
import { HOURS_ID, withWanted } from '@keep-snug/core/sittings';
import { useEvents } from '@/data/events';
import { changeHours } from '@/data/hours';
import { useLibrary, useShelf } from '@/data/library';

/** Begins a make: the plan as it stands now is what will be followed. */
export function startMake(planId: string, plan: Plan): string {
  const startedAt = new Date().toISOString();
  const make: Make = { format: MAKE_FORMAT, title: plan.title, planId, plan: pinned(plan), startedAt };
  const id = useLibrary.getState().add('makes', make);
  keepWanted(planId, id);
  return id;
}

/** The day the plan is wanted is that of its make from then on. */
function keepWanted(planId: string, make: string): void {
  const { hours } = useLibrary.getState().shelves;
  const day = hours[HOURS_ID]?.body.wanted?.[planId];
  if (day) changeHours((now) => withWanted(withWanted(now, planId, undefined), make, day));
}

/** The make of a plan that is on the hook, if there is one. */
export function useMakeOf(planId: string): string | undefined {
  const makes = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  return makes
    .filter(([id, held]) => held.body.planId === planId && !isFinished(byMake[id] ?? []))
    .sort(([, a], [, b]) => byCode(b.body.startedAt, a.body.startedAt))[0]?.[0];
}
