import {
  countMeasures,
  fabricFromSwatch,
  FIRST_FABRIC,
  gaugeElsewhere,
  hookFor,
  planFor,
  withWhatGoes,
  yarnOf,
  type FabricSpec,
  type Plan,
  type ThingSpec,
  type YarnSpec,
} from '@keep-snug/core';
import type { SwatchRecord } from '@keep-snug/core/documents';
import { useHistory } from '@/data/history';
import { useLibrary } from '@/data/library';
import { useUsed } from '@/data/used';
import { handNow, ratesNow } from './useHand';
import type { LocalDocument } from '@/data/types';

/** Makes a plan for a thing, with the last fabric used and with what goes with the thing, and returns its id. */
export function newPlan(thing: ThingSpec): string {
  const { add } = useLibrary.getState();
  const plan = planFor(thing, byOwnHand(usualFabric()));
  const id = add('plans', plan);
  const { plan: whole, added } = withWhatGoes(plan);
  // a step of its own, so that it can be taken back
  if (added.length > 0) useHistory.getState().edit(id, () => whole);
  return id;
}

/** Makes the plan that a start has become, and returns its id. */
export const planOfStart = (plan: Plan): string =>
  useLibrary.getState().add('plans', { ...plan, fabric: byOwnHand(plan.fabric) });

/** The usual stitch in another yarn: by the newest swatch of it, else on a hook it is usually worked firmly with. */
export function fabricIn(yarn: YarnSpec): FabricSpec {
  const { swatches, yarns } = useLibrary.getState().shelves;
  const id = here(yarns).find(([, { yarn: held }]) => held.name === yarn.name && yarn.name !== undefined)?.[0];
  const swatch = here(swatches).find(([, one]) => one.yarn === id && countMeasures(one.gauge) > 0)?.[1];
  if (id !== undefined && swatch) return fabricFromSwatch(swatch, yarn);
  return { stitch: usualFabric().stitch, hookMm: hookFor(yarn), yarn };
}

/** The same for an item measured in the maker's own chains: so many of them reach around it. */
export function planInChains(thing: ThingSpec, fabric: FabricSpec, around: number): string {
  const chains = [{ count: around, reaches: 'round' as const }];
  const { add } = useLibrary.getState();
  return add('plans', planFor(thing, { ...fabric, gauge: { ...fabric.gauge, chains } }));
}

/** A plan with what finished makes taught of hand, pace and yarn. */
export const learnt = (plan: Plan): Plan => ({ ...plan, fabric: byOwnHand(plan.fabric) });

/**
 * What is estimated is estimated by the maker's own hand as it is known now, whatever the plan before knew of it; what was measured
 * is as it was.
 */
function byOwnHand({ hand: before, ...given }: FabricSpec): FabricSpec {
  const fabric = { ...given, ...ratesNow() };
  if (countMeasures(fabric.gauge ?? {}) > 0 && !before) return fabric;
  const hand = handNow(yarnOf(fabric).category);
  return hand ? { ...fabric, hand } : fabric;
}

/** A fabric for another thing: what was tried round the one before says nothing of it. */
const elsewhere = (fabric: FabricSpec): FabricSpec =>
  fabric.gauge ? { ...fabric, gauge: gaugeElsewhere(fabric.gauge) } : fabric;

interface Candidate {
  id: string;
  fabric: FabricSpec;
}

/** The fabric of the plan or the swatch that was used last; a swatch where none was used; an estimate where there is none. */
export function usualFabric(): FabricSpec {
  const { at } = useUsed.getState();
  const { plans, swatches } = useLibrary.getState().shelves;
  const measured = here(swatches).flatMap(swatched);
  const used = [...measured, ...here(plans).map(planned)]
    .filter(({ id }) => at[id] !== undefined)
    .sort((a, b) => at[b.id]!.localeCompare(at[a.id]!));
  return (used[0] ?? measured[0])?.fabric ?? FIRST_FABRIC;
}

function here<Body>(shelf: Readonly<Record<string, LocalDocument<Body>>>): [string, Body][] {
  return Object.entries(shelf).flatMap(([id, { body, gone }]) => (gone ? [] : [[id, body] as [string, Body]]));
}

function swatched([id, swatch]: [string, SwatchRecord]): Candidate[] {
  const yarn = useLibrary.getState().shelves.yarns[swatch.yarn];
  return yarn && !yarn.gone ? [{ id, fabric: fabricFromSwatch(swatch, yarn.body.yarn) }] : [];
}

/** What another cover is made of again: yarn, hook, stitch and what was measured of it; stripes belong to their own piece. */
function planned([id, { fabric }]: [string, Plan]): Candidate {
  const { colours: _stripes, ...rest } = fabric;
  return { id, fabric: elsewhere(rest) };
}
