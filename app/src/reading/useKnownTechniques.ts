import { byCode, foldMake, planFollowed, stepsToMake, type KeptEvent, type Plan } from '@keep-snug/core';
import { techniquesIn } from '@keep-snug/core/techniques';
import { useMemo } from 'react';
import { useEvents } from '@/data/events';
import { useShelf } from '@/data/library';
import { useIdle } from '@/platform/useIdle';
import { reckonFor, useReader, type Reader } from './useWorked';

/** So many of the last makes tell what a hand knows. */
const LAST_MAKES = 30;

/** What was ticked in the last makes of the house, as techniques by id; nothing before there is time to look. */
export function useKnownTechniques(): ReadonlySet<string> | null {
  const reader = useReader();
  const isIdle = useIdle();
  const makes = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  return useMemo(() => {
    if (!isIdle) return null;
    const texts = [...makes]
      .sort(([, a], [, b]) => byCode(b.body.startedAt, a.body.startedAt))
      .slice(0, LAST_MAKES)
      .flatMap(([id, { body }]) => tickedIn(body.plan, byMake[id] ?? [], reader));
    return new Set(techniquesIn(texts, reader.terms).map(({ id }) => id));
  }, [isIdle, makes, byMake, reader]);
}

/** The words of all that was ticked of a make; of one that cannot be reckoned nothing. */
function tickedIn(plan: Plan, events: readonly KeptEvent[], reader: Reader): string[] {
  const { worked } = reckonFor(planFollowed(plan, events), reader);
  const steps = stepsToMake(worked?.steps ?? []);
  const done = new Set(foldMake(events, steps).done);
  return steps.flatMap(({ id, text }) => (done.has(id) ? text : []));
}
