import { batchOrder, variantPlan, type BatchRecord } from '@keep-snug/core/batches';
import { isFinished, PlanProblem, type Make } from '@keep-snug/core';
import type { HoursSpec, Job, SittingsAsk } from '@keep-snug/core/sittings';
import { useMemo } from 'react';
import { useEvents } from '@/state/events';
import { todayHere, useHours } from '@/state/hours';
import { useShelf, type LocalDocument } from '@/state/library';

type Kept<Body> = readonly [string, LocalDocument<Body>][];

/** All that is to be made: makes on the hook, pieces of batches that wait, plans that are wanted on a day. */
export function useSittingsAsk(): { ask: SittingsAsk; hours: HoursSpec } {
  const hours = useHours();
  const makes = useShelf('makes');
  const plans = useShelf('plans');
  const batches = useShelf('batches');
  const byMake = useEvents((state) => state.byMake);
  const from = todayHere();
  const ask = useMemo((): SittingsAsk => {
    const open = makes.filter(([id, { body }]) => !body.aside && !isFinished(byMake[id] ?? []));
    const begun = new Set(makes.map(([, { body }]) => body.planId));
    return {
      hours,
      from,
      jobs: [
        ...open.map(([id, { body }]) => makeJob(id, body, hours, byMake[id])),
        ...batches.flatMap(([id, { body }]) => waitingOf(id, body, makes, hours)),
        ...plans
          .filter(([id]) => hours.wanted?.[id] && !begun.has(id))
          .map(([id, { body }]): Job => ({ id, title: body.title, plan: body, wanted: hours.wanted![id] })),
      ],
    };
  }, [hours, makes, plans, batches, byMake, from]);
  return { ask, hours };
}

function makeJob(id: string, { title, plan, batch }: Make, { wanted = {} }: HoursSpec, events: Job['events']): Job {
  return {
    id,
    title,
    plan,
    ...(events ? { events } : {}),
    wanted: wanted[id] ?? (batch && wanted[batch.batch]),
    group: batch?.batch,
  };
}

/** Pieces of a batch that no make stands for yet, in the order of work. */
function waitingOf(id: string, batch: BatchRecord, makes: Kept<Make>, { wanted = {} }: HoursSpec): Job[] {
  const begun = new Map<string, number>();
  for (const [, { body }] of makes)
    if (body.batch?.batch === id) begun.set(body.batch.variant, (begun.get(body.batch.variant) ?? 0) + 1);
  return orderOf(batch).flatMap(({ variant, number }) => {
    if (number <= (begun.get(variant) ?? 0)) return [];
    const plan = variantPlan(
      batch,
      batch.variants.find((one) => one.id === variant)!,
    );
    return [{ id: `${id}/${variant}/${number}`, title: plan.title, plan, wanted: wanted[id], group: id }];
  });
}

/** Nothing where its plan cannot be reckoned: the batch itself says why. */
function orderOf(batch: BatchRecord) {
  try {
    return batchOrder(batch);
  } catch (error) {
    if (error instanceof PlanProblem) return [];
    throw error;
  }
}
