import {
  fabricFromSwatch,
  fabricMade,
  handFrom,
  isFinished,
  PlanProblem,
  rateFrom,
  ratesMade,
  type FabricSpec,
  type Hand,
  type KeptEvent,
  type Make,
  type Rate,
  type YarnSpec,
  type YarnUse,
  yarnUseFrom,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { useEvents } from '@/state/events';
import { useLibrary } from '@/state/library';

type Shelves = ReturnType<typeof useLibrary.getState>['shelves'];

/** The hand that the swatches in the box and the finished makes show: those in yarn of this category, else all. */
export function useHand({ category }: YarnSpec): Hand | undefined {
  const { yarns, swatches, makes } = useLibrary((state) => state.shelves);
  const byMake = useEvents((state) => state.byMake);
  const fabrics = useMemo(() => fabricsShown({ yarns, swatches, makes }, byMake), [yarns, swatches, makes, byMake]);
  return useMemo(() => handOf(fabrics, category), [fabrics, category]);
}

/** The same, asked once. */
export function handNow(category: YarnSpec['category']): Hand | undefined {
  return handOf(fabricsShown(useLibrary.getState().shelves, useEvents.getState().byMake), category);
}

function handOf(fabrics: readonly FabricSpec[], category: YarnSpec['category']): Hand | undefined {
  const alike = fabrics.filter(({ yarn }) => yarn?.category !== undefined && yarn.category === category);
  return handFrom(alike.length > 0 ? alike : fabrics);
}

/** Pace and use of yarn that finished makes show. */
export function ratesNow(): { rate?: Rate; yarnUse?: YarnUse } {
  const { makes } = useLibrary.getState().shelves;
  const { byMake } = useEvents.getState();
  const made = Object.entries(makes).flatMap(([id, { body, gone }]) => {
    const events = byMake[id] ?? [];
    return gone || !isFinished(events) ? [] : (orNot(() => ratesMade(body.plan, events)) ?? []);
  });
  const [rate, yarnUse] = [rateFrom(made), yarnUseFrom(made)];
  return { ...(rate ? { rate } : {}), ...(yarnUse ? { yarnUse } : {}) };
}

/** Every fabric that was measured: swatches, and makes that are finished. */
function fabricsShown(
  { yarns, swatches, makes }: Pick<Shelves, 'yarns' | 'swatches' | 'makes'>,
  byMake: Readonly<Record<string, readonly KeptEvent[]>>,
): FabricSpec[] {
  const swatched = Object.values(swatches).flatMap(({ body, gone }) => {
    const yarn = gone ? undefined : yarns[body.yarn]?.body.yarn;
    return yarn ? [fabricFromSwatch(body, yarn)] : [];
  });
  const made = Object.entries(makes).flatMap(([id, { body, gone }]) => {
    const events = byMake[id] ?? [];
    return gone || !isFinished(events) ? [] : (madeOf(body, events) ?? []);
  });
  return [...swatched, ...made];
}

const known = new WeakMap<readonly KeptEvent[], FabricSpec | undefined>();

/** A make is asked again whenever anything is kept: what it shows changes only with its own events. */
function madeOf(make: Make, events: readonly KeptEvent[]): FabricSpec | undefined {
  if (known.has(events)) return known.get(events);
  const made = orNot(() => fabricMade(make.plan, events));
  known.set(events, made);
  return made;
}

/** A make whose plan cannot be calculated any more teaches nothing. */
function orNot<Learnt>(learn: () => Learnt): Learnt | undefined {
  try {
    return learn();
  } catch (error) {
    if (error instanceof PlanProblem) return undefined;
    throw error;
  }
}
