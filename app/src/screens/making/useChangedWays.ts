import {
  attempted,
  changedWays,
  pinned,
  planAsked,
  type KeptEvent,
  type Make,
  type MendChoice,
  type Plan,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { readBy, reckonFor, useReader, type Reader } from '@/reading/useWorked';
import { useMakeEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { eventsReadBy } from './useMended';

/** A plan that was changed after its make began, and the ways to go on from there. */
export interface ChangedPlan {
  plan: Plan;
  /** What it says now, in a line. */
  says: string;
  choices: readonly MendChoice[];
}

/** Nothing where the plan says what it said when it was last asked about, or cannot be calculated. */
export function useChangedWays(id: string, make: Make): ChangedPlan | null {
  const reader = useReader();
  const plan = useLibrary((state) => state.shelves.plans[make.planId]?.body);
  const events = useMakeEvents(id);
  return useMemo(() => changedFor(make.plan, events, plan, reader), [make.plan, events, plan, reader]);
}

function changedFor(
  begun: Plan,
  events: readonly KeptEvent[],
  plan: Plan | undefined,
  reader: Reader,
): ChangedPlan | null {
  if (!plan) return null;
  // a make holds the counts its plan came to
  const asked = JSON.stringify(planAsked(begun, events));
  if (asked === JSON.stringify(plan) || asked === JSON.stringify(pinned(plan))) return null;
  const { worked } = reckonFor(plan, reader);
  if (!worked) return null;
  const choices =
    attempted(() => changedWays(readBy(begun, reader), eventsReadBy(events, reader), readBy(plan, reader))) ?? [];
  // where only its title is another there is nothing to choose
  return choices.length > 1 ? { plan, says: worked.pieces[0]!.summary, choices } : null;
}
