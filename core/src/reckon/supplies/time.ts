import { baseStitch, BASES, CHAIN, tallyRow, type FabricSpec, type Instruction, type Rate } from '../../craft/fabric';
import { derive, prior, type Figure } from '../../base/figure';
import type { WorkStep } from '../../shapes';
import type { BandTally } from './yarn';

/** Spread of the time an unknown hand takes, as a fraction (prior, handbook 7). */
export const TIME_SPREAD = 0.3;

/** A step of finishing takes so long where it does not say, minutes (prior, handbook 7). */
export const STEP_MINUTES = 4;

/** One stitch of a kind, minutes (prior, handbook 7); of what has no rate of its own as what it is built of. */
const minutesEach = (kind: string, base: string): number =>
  1 / (kind === 'chain' ? CHAIN.aMinute : (baseStitch(kind) ?? baseStitch(base) ?? BASES.single).aMinute);

/** How long a row takes at the usual rate, minutes (prior, handbook 7). */
export function rowMinutes(row: readonly Instruction[]): number {
  return Object.entries(tallyRow(row)).reduce((sum, [kind, count]) => sum + count * minutesEach(kind, 'single'), 0);
}

/** How much longer than usual everything takes at a pace. */
export const slowerBy = (rate: Rate | undefined): number => (rate ? BASES.single.aMinute / rate.perMinute : 1);

/**
 * Working time, minutes: every stitch at its rate, every finishing step at its own (prior, handbook 7), until finished makes
 * have shown the maker's own pace.
 *
 * @param tails minutes for the tails of changes of colour
 */
export function workingTime(
  { rate }: Pick<FabricSpec, 'rate'>,
  tallies: readonly BandTally[],
  steps: readonly WorkStep[],
  tails = 0,
): Figure<'min'> {
  const usual = tallies.reduce(
    (all, { tally, fabric: { stitch } }) =>
      Object.entries(tally).reduce((sum, [kind, count]) => sum + count * minutesEach(kind, stitch.base), all),
    0,
  );
  const working = slowerBy(rate) * usual;
  const finishing = tails + steps.reduce((sum, { minutes }) => sum + (minutes ?? STEP_MINUTES), 0);
  return derive(
    'min',
    'time = stitches at their rate + finishing',
    {
      stitches: rate
        ? prior(working, 'min', rate.spread * working, `your own pace, from ${rate.makes} finished`)
        : prior(working, 'min', TIME_SPREAD * working, '22 short, 17 half-tall, 14 tall ones a minute'),
      finishing: prior(finishing, 'min', TIME_SPREAD * finishing, 'minutes of each step'),
    },
    (v) => v.stitches + v.finishing,
  );
}

/** More than this at the hook is more than one sitting, minutes (prior, ours). */
export const ONE_SITTING_MINUTES = 150;
