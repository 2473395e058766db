import {
  countMeasures,
  hookAtHandFor,
  withSwatch,
  yarnsBeside,
  type AtHand,
  type FabricSpec,
  type YarnSpec,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { useLibrary } from '@/data/library';

type Shelves = ReturnType<typeof useLibrary.getState>['shelves'];
export type Box = Pick<Shelves, 'yarns' | 'swatches' | 'makes'>;

/** What a hand is learnt from and what is there to work with; each shelf by itself, so that nobody is woken by a plan that is drawn on. */
export function useBox(): Box {
  const yarns = useLibrary((state) => state.shelves.yarns);
  const swatches = useLibrary((state) => state.shelves.swatches);
  const makes = useLibrary((state) => state.shelves.makes);
  return useMemo(() => ({ yarns, swatches, makes }), [yarns, swatches, makes]);
}

/** What the maker has: hooks that swatches and makes were worked with, and the yarns of the box with what is left of each. */
export function useAtHand(): AtHand {
  const box = useBox();
  return useMemo(() => atHandNow(box), [box]);
}

let last: { box: Box; atHand: AtHand } | null = null;

/** The same for all that ask, for as long as the box is the same. */
function atHandNow(box: Box): AtHand {
  const isSame =
    last && last.box.yarns === box.yarns && last.box.swatches === box.swatches && last.box.makes === box.makes;
  if (!last || !isSame) last = { box, atHand: atHandIn(box) };
  return last.atHand;
}

export function atHandIn({ yarns, swatches, makes }: Box): AtHand {
  const hooks = [
    ...bodies(swatches).map(({ hookMm }) => hookMm),
    ...bodies(makes).map(({ plan }) => plan.fabric.hookMm),
  ];
  return {
    hooksMm: [...new Set(hooks)].sort((a, b) => a - b),
    yarns: bodies(yarns).map(({ name, yarn, gramsLeft }) => ({
      ...yarn,
      name,
      ...(gramsLeft === undefined ? {} : { gramsLeft }),
    })),
  };
}

/** A plan’s fabric in the yarns of the box instead, those nearest to its own first: by a swatch where there is one, on a hook that suits it else. */
export function fabricsAtHand(fabric: FabricSpec, atHand: AtHand, { yarns, swatches }: Box): FabricSpec[] {
  return yarnsBeside(atHand, fabric).map((yarn) => {
    const { gauge: _gauge, weighed: _weighed, hand: _hand, yarns: _held, scraps: _scraps, ...rest } = fabric;
    const id = Object.keys(yarns).find((one) => !yarns[one]!.gone && yarns[one]!.body.name === yarn.name);
    const swatch = bodies(swatches).find((one) => one.yarn === id && countMeasures(one.gauge) > 0);
    const inYarn = { ...rest, yarn: inPlan(yarn), hookMm: swatch?.hookMm ?? hookAtHandFor(yarn, atHand) };
    return swatch ? withSwatch(inYarn, swatch) : inYarn;
  });
}

/** As long a name as a plan takes. */
const inPlan = (yarn: YarnSpec): YarnSpec => (yarn.name ? { ...yarn, name: yarn.name.slice(0, 120) } : yarn);

const bodies = <Body>(shelf: Readonly<Record<string, { body: Body; gone?: boolean }>>): Body[] =>
  Object.values(shelf).flatMap(({ body, gone }) => (gone ? [] : [body]));
