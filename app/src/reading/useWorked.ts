import {
  type AtHand,
  attempt,
  attempted,
  reckonPicks,
  reckon,
  type PickedPlan,
  type Plan,
  type PlanFault,
  type Schools,
  type Worked,
} from '@keep-snug/core';
import { useMemo, useState } from 'react';
import { useSettings } from '@/data/settings';
import { useAtHand } from './useAtHand';

type Outcome = { worked: Worked; faults: readonly PlanFault[] } | { worked: null; faults: readonly PlanFault[] };

/** How this device reads, and the habits of whoever works by it where a plan does not say otherwise. */
export interface Reader extends Pick<Schools, 'terms' | 'hand' | 'units'> {
  habits: Pick<Schools, 'rounds' | 'turningChainCounts' | 'ring' | 'foundation'>;
  /** What there is in the house. */
  atHand?: AtHand;
}

const known = new WeakMap<Plan, { reader: Reader; outcome: Outcome }>();

/** A plan reckoned in this reader's words and units; the same plan is not reckoned twice for the same reader. */
export function reckonFor(plan: Plan, reader: Reader): Outcome {
  const before = reckonedFor(plan, reader);
  if (before) return before;
  const outcome = reckonAnew(plan, reader);
  known.set(plan, { reader, outcome });
  return outcome;
}

/** What is known of a plan already; nothing is reckoned for it. */
export function reckonedFor(plan: Plan, reader: Reader): Outcome | null {
  const before = known.get(plan);
  return before?.reader === reader ? before.outcome : null;
}

function reckonAnew(plan: Plan, reader: Reader): Outcome {
  const tried = attempt(() => reckon(inHouse(readBy(plan, reader), reader)));
  return tried.ok ? { worked: tried.value, faults: [] } : { worked: null, faults: tried.faults };
}

/** A plan in the words and units of this reader, with this reader's habits where it has none of its own. */
export function readBy(plan: Plan, { habits, atHand: _has, ...reads }: Reader): Plan {
  return { ...plan, schools: { ...habits, ...plan.schools, ...reads } };
}

/** A plan with what this maker has, which is proposed first; told for as long as it is reckoned, and never kept with it. */
export const inHouse = (plan: Plan, { atHand }: Pick<Reader, 'atHand'>): Plan => (atHand ? { ...plan, atHand } : plan);

let lastDragged: { plan: Plan; reader: Reader; reckon: ReturnType<typeof reckonPicks> } | null = null;

/** What a hand that draws sees: only what it needs is reckoned while it moves; null while it cannot be worked out. */
export function drawnFor(plan: Plan, reader: Reader, moving: boolean): PickedPlan | null {
  if (!moving) return reckonFor(plan, reader).worked;
  const drawn = attempted(() => {
    if (lastDragged?.reader !== reader || !alikeButPicks(lastDragged.plan, plan))
      lastDragged = { plan, reader, reckon: reckonPicks(readBy(plan, reader)) };
    return lastDragged.reckon(plan.picks);
  });
  return drawn ?? null;
}

/** Whether two states of a plan are the same but for the counts picked. What an edit does not touch stays one object. */
function alikeButPicks(a: Plan, b: Plan): boolean {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]) as Set<keyof Plan>;
  keys.delete('picks');
  return [...keys].every((key) => a[key] === b[key]);
}

/** How this device reads: one object for as long as nothing of it is changed. */
export function useReader(): Reader {
  const terms = useSettings((state) => state.terms);
  const hand = useSettings((state) => state.hand);
  const units = useSettings((state) => state.units);
  const rounds = useSettings((state) => state.rounds);
  const turningChainCounts = useSettings((state) => state.turningChain === 'counts');
  const ring = useSettings((state) => state.ring);
  const foundation = useSettings((state) => state.foundation);
  const atHand = useAtHand();
  return useMemo(
    () => readerOf({ terms, hand, units, habits: { rounds, turningChainCounts, ring, foundation }, atHand }),
    [terms, hand, units, rounds, turningChainCounts, ring, foundation, atHand],
  );
}

const readers = new Map<string, Reader>();

/** Readers alike are one, so that what was reckoned for one component serves the next. */
export function readerOf(reader: Reader): Reader {
  const key = JSON.stringify(reader);
  const before = readers.get(key);
  if (before) return before;
  readers.set(key, reader);
  return reader;
}

/** The last good one of several, remembered while rendering, so that no screen without it is ever painted. */
export function useLastGood<Found>(found: Found | null): Found | null {
  const [last, setLast] = useState(found);
  if (found && found !== last) setLast(found);
  return found ?? last;
}

/**
 * The worked plan, reckoned anew on every change. While it cannot be reckoned there is none: sums of the plan before it would be
 * taken for its own.
 */
export function useWorked(plan: Plan): Outcome {
  const reader = useReader();
  return useMemo(() => reckonFor(plan, reader), [plan, reader]);
}
