import type { DaysAsk } from '@keep-snug/core/batches';
import { isFinished, type Make } from '@keep-snug/core';
import type { HoursSpec, Job } from '@keep-snug/core/sittings';
import { useMemo } from 'react';
import { useEvents } from '@/data/events';
import { todayHere, useHours } from '@/data/hours';
import { useShelf } from '@/data/library';
import type { LocalDocument } from '@/data/types';

type Kept<Body> = readonly [string, LocalDocument<Body>][];

/** All that is to be made: makes on the hook, pieces of batches that wait, plans that are wanted on a day. */
export function useSittingsAsk(): { ask: DaysAsk; hours: HoursSpec; isEmpty: boolean } {
  const hours = useHours();
  const makes = useShelf('makes');
  const plans = useShelf('plans');
  const batches = useShelf('batches');
  const byMake = useEvents((state) => state.byMake);
  const from = todayHere();
  const ask = useMemo((): DaysAsk => {
    const open = makes.filter(([id, { body }]) => !body.aside && !isFinished(byMake[id] ?? []));
    const begun = new Set(makes.map(([, { body }]) => body.planId));
    return {
      hours,
      from,
      jobs: [
        ...open.map(([id, { body }]) => makeJob(id, body, hours, byMake[id])),
        ...plans
          .filter(([id]) => hours.wanted?.[id] && !begun.has(id))
          .map(([id, { body }]): Job => ({ id, title: body.title, plan: body, wanted: hours.wanted![id] })),
      ],
      batches: batches.map(([id, { body }]) => ({
        id,
        batch: body,
        begun: begunOf(id, makes),
        wanted: hours.wanted?.[id],
      })),
    };
  }, [hours, makes, plans, batches, byMake, from]);
  return { ask, hours, isEmpty: ask.jobs.length + ask.batches.length === 0 };
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

/** How many makes stand for pieces of each variant of a batch. */
function begunOf(id: string, makes: Kept<Make>): Record<string, number> {
  const begun: Record<string, number> = {};
  for (const [, { body }] of makes)
    if (body.batch?.batch === id) begun[body.batch.variant] = (begun[body.batch.variant] ?? 0) + 1;
  return begun;
}
