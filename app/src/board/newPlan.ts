import { fabricFromSwatch, FIRST_FABRIC, planFor, type FabricSpec, type ThingSpec } from '@keep-snug/core';
import { useLibrary } from '@/state/library';

/** Makes a plan for a thing, with the last fabric used, and returns its id. */
export function newPlan(thing: ThingSpec): string {
  const { add } = useLibrary.getState();
  return add('plans', planFor(thing, usualFabric()));
}

/** A swatch in the yarn box is the best start there is; without one, an estimate. */
function usualFabric(): FabricSpec {
  const { swatches, yarns } = useLibrary.getState().shelves;
  for (const { body, gone } of Object.values(swatches)) {
    const yarn = yarns[body.yarn];
    if (!gone && yarn && !yarn.gone) return fabricFromSwatch(body, yarn.body.yarn);
  }
  return FIRST_FABRIC;
}
