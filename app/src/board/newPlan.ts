import { PLAN_FORMAT, type FabricSpec, type Plan, type ThingSpec } from '@keep-snug/core';
import { useLibrary } from '@/state/library';

interface Start {
  /** What such a cover is called. */
  word: string;
  shape: Plan['shape'];
  fit: Plan['fit'];
  fittings: NonNullable<Plan['fittings']>;
}

/** What a cover for each kind of thing usually begins as. */
const STARTS: Readonly<Record<string, Start>> = {
  slab: {
    word: 'Pouch',
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 20 }],
  },
  spectacles: {
    word: 'Case',
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [{ kind: 'flap' }, { kind: 'button-loop', buttonMm: 15 }],
  },
  cylinder: { word: 'Sling', shape: { kind: 'disc-wall' }, fit: { name: 'snug' }, fittings: [] },
  tools: { word: 'Wrap', shape: { kind: 'two-panels' }, fit: { name: 'slides' }, fittings: [] },
  set: { word: 'Caddy', shape: { kind: 'strip-across' }, fit: { name: 'slides' }, fittings: [] },
  loose: { word: 'Bag', shape: { kind: 'round-chain' }, fit: { name: 'roomy' }, fittings: [] },
};

/** A plan for a thing, with the last fabric used and the plainest choices for the rest; everything can be changed. */
export function planFor(thing: ThingSpec, fabric: FabricSpec): Plan {
  const name = String(thing.name ?? '').trim() || 'thing';
  const { word, ...start } = STARTS[thing.kind] ?? STARTS.slab!;
  return {
    format: PLAN_FORMAT,
    title: `${word} for the ${name.replace(/^the /, '')}`.slice(0, 120),
    thing,
    fabric,
    ...start,
  };
}

const FIRST_FABRIC: FabricSpec = {
  stitch: 'single',
  hookMm: 4,
  yarn: { name: 'medium yarn', category: 4, metresPer100g: 190 },
};

/** Makes the plan and returns its id. */
export function newPlan(thing: ThingSpec): string {
  const { add } = useLibrary.getState();
  return add('plans', planFor(thing, usualFabric()));
}

/** A swatch in the yarn box is the best start there is; without one, an estimate. */
function usualFabric(): FabricSpec {
  const { swatches, yarns } = useLibrary.getState().shelves;
  for (const { body, gone } of Object.values(swatches)) {
    const yarn = yarns[body.yarn];
    if (!gone && yarn && !yarn.gone)
      return { stitch: body.stitch, hookMm: body.hookMm, yarn: yarn.body.yarn, gauge: body.gauge };
  }
  return FIRST_FABRIC;
}
