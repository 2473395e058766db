import {
  attempted,
  fabricFromSwatch,
  fabricMade,
  handFrom,
  isFinished,
  rateFrom,
  ratesMade,
  strapGrowthFrom,
  type FabricSpec,
  type Hand,
  type KeptEvent,
  type Make,
  type Rate,
  type RatesMade,
  type YarnSpec,
  type OwnRatio,
  yarnUseFrom,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { useEvents } from '@/data/events';
import { useLibrary } from '@/data/library';
import { useBox } from './useAtHand';

type Shelves = ReturnType<typeof useLibrary.getState>['shelves'];

/** The hand that the swatches in the box and the finished makes show: those in yarn of this category, else all. */
export function useHand({ category }: YarnSpec): Hand | undefined {
  const box = useBox();
  const byMake = useEvents((state) => state.byMake);
  const shown = useMemo(() => fabricsShown(box, byMake), [box, byMake]);
  return useMemo(() => handOf(alikeIn(shown, category)), [shown, category]);
}

/** The same with the swatches and makes behind it. */
export function useHandSources({ category }: YarnSpec): { hand: Hand; from: readonly Shown[] } | undefined {
  const box = useBox();
  const byMake = useEvents((state) => state.byMake);
  const shown = useMemo(() => fabricsShown(box, byMake), [box, byMake]);
  return useMemo(() => {
    // only those that tell the hand something stand behind it
    const from = alikeIn(shown, category).filter((one) => handOf([one]) !== undefined);
    const hand = handOf(from);
    return hand && { hand, from };
  }, [shown, category]);
}

/** The same, asked once. */
export function handNow(category: YarnSpec['category']): Hand | undefined {
  return handOf(alikeIn(fabricsShown(useLibrary.getState().shelves, useEvents.getState().byMake), category));
}

/** A fabric that was measured: on a swatch, or on a finished make. */
export interface Shown {
  fabric: FabricSpec;
  name: string;
  /** The make it is of; none for a swatch. */
  make?: string;
}

/** Those in yarn of a category; where there is none, all. */
function alikeIn(shown: readonly Shown[], category: YarnSpec['category']): readonly Shown[] {
  const alike = shown.filter(({ fabric: { yarn } }) => yarn?.category !== undefined && yarn.category === category);
  return alike.length > 0 ? alike : shown;
}

const handOf = (shown: readonly Shown[]): Hand | undefined => handFrom(shown.map(({ fabric }) => fabric));

/** Pace, use of yarn and growth of straps that finished makes show. */
export function ratesNow(): { rate?: Rate; yarnUse?: OwnRatio; strapGrowth?: OwnRatio } {
  const { makes } = useLibrary.getState().shelves;
  const { byMake } = useEvents.getState();
  const made = Object.entries(makes).flatMap(([id, { body, gone }]) => {
    const events = byMake[id] ?? [];
    return gone || !isFinished(events) ? [] : (ratesOf(body, events) ?? []);
  });
  const [rate, yarnUse, strapGrowth] = [rateFrom(made), yarnUseFrom(made), strapGrowthFrom(made)];
  return { ...(rate ? { rate } : {}), ...(yarnUse ? { yarnUse } : {}), ...(strapGrowth ? { strapGrowth } : {}) };
}

/** Every fabric that was measured: swatches, and makes that are finished. */
function fabricsShown(
  { yarns, swatches, makes }: Pick<Shelves, 'yarns' | 'swatches' | 'makes'>,
  byMake: Readonly<Record<string, readonly KeptEvent[]>>,
): Shown[] {
  const swatched = Object.values(swatches).flatMap(({ body, gone }) => {
    const yarn = gone ? undefined : yarns[body.yarn]?.body.yarn;
    return yarn ? [{ fabric: fabricFromSwatch(body, yarn), name: `Swatch: ${body.name}` }] : [];
  });
  const made = Object.entries(makes).flatMap(([id, { body, gone }]) => {
    const events = byMake[id] ?? [];
    const fabric = gone || !isFinished(events) ? undefined : madeOf(body, events);
    return fabric ? [{ fabric, name: body.title, make: id }] : [];
  });
  return [...swatched, ...made];
}

const knownRates = new WeakMap<readonly KeptEvent[], RatesMade | undefined>();

/** What a finished make took changes only with its own events: it is not worked out anew for every plan. */
function ratesOf(make: Make, events: readonly KeptEvent[]): RatesMade | undefined {
  if (knownRates.has(events)) return knownRates.get(events);
  const made = attempted(() => ratesMade(make.plan, events));
  knownRates.set(events, made);
  return made;
}

const known = new WeakMap<readonly KeptEvent[], FabricSpec | undefined>();

/** A make is asked again whenever anything is kept: what it shows changes only with its own events. */
function madeOf(make: Make, events: readonly KeptEvent[]): FabricSpec | undefined {
  if (known.has(events)) return known.get(events);
  // a make whose plan cannot be calculated any more teaches nothing
  const made = attempted(() => fabricMade(make.plan, events));
  known.set(events, made);
  return made;
}
