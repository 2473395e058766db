import { chosen, prior, type Figure } from '../../../base/figure';
import { formatKnownGrams } from '../../../base/units';
import type { WorkedThing } from '../../../craft/things';
import type { FittingContext } from '../../definition';

/** What is carried where nothing is known of it, g (prior, ours). */
const USUAL_LOAD = { g: 300, sd: 150 };

/** How much of a bottle is room, and how much heavier it is than what it holds (prior, ours). */
const HOLDS = { share: 0.85, weighs: 1.3, spread: 0.25 };

/** A filled bottle by its profile: a millilitre of water weighs a gram (handbook 1). */
function filled({ stations = [] }: WorkedThing): Figure<'g'> | undefined {
  if (stations.length < 2) return undefined;
  const ml = stations.slice(1).reduce((sum, { height, diameter }, index) => {
    const below = stations[index]!;
    return sum + ((Math.PI / 4) * ((diameter + below.diameter) / 2) ** 2 * (height - below.height)) / 1000;
  }, 0);
  const g = HOLDS.share * HOLDS.weighs * ml;
  return prior(g, 'g', HOLDS.spread * g, 'what a bottle of its size holds, and its own weight');
}

/** What hangs on the strap: as typed, as the thing weighs filled, by what a bottle holds, or a guess that asks to be answered. */
export function loadOf({ options, thing }: FittingContext): Figure<'g'> {
  if (options.loadG !== undefined) return chosen(Number(options.loadG), 'g', 'typed');
  return thing.mass ?? filled(thing) ?? prior(USUAL_LOAD.g, 'g', USUAL_LOAD.sd, 'not known: a guess');
}

/** Growth is known to so much before a strap was hung (prior, ours). */
const GROWTH_SD = 0.02;

/** The growth of a strap as is usual, or as straps of this hand have grown (prior, handbook 6 and 10). */
export function ownGrowth(
  { fabric: { strapGrowth: own } }: FittingContext,
  usual: number,
  load: Figure<'g'>,
): Figure<'1'> {
  const under = `under ${formatKnownGrams(load.value, load.sd)}`;
  if (!own) return prior(usual, '1', GROWTH_SD, `estimated ${under}`);
  const grows = own.ratio * usual;
  return prior(grows, '1', Math.min(GROWTH_SD, own.spread * grows), `${under}, as yours grew (${own.makes} finished)`);
}
