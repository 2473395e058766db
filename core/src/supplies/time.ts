import { baseStitch, CHAIN, type WorkedFabric } from '../fabric';
import { derive, prior, type Figure } from '../figure';
import type { WorkStep } from '../shapes';
import type { BandTally } from './yarn';

/** Spread of the time an unknown hand takes, as a fraction (prior, ours). */
const TIME_SPREAD = 0.3;

/** A step of finishing takes so long where it does not say, minutes (prior, handbook 7). */
const STEP_MINUTES = 4;

/** Working time, minutes: every stitch at its rate, every finishing step at its own (prior, handbook 7). */
export function workingTime(tallies: readonly BandTally[], steps: readonly WorkStep[]): Figure<'min'> {
  const rate = (kind: string, { stitch }: WorkedFabric) =>
    kind === 'chain' ? CHAIN.aMinute : (baseStitch(kind) ?? baseStitch(stitch.base)!).aMinute;
  const working = tallies.reduce(
    (all, { tally, fabric }) =>
      Object.entries(tally).reduce((sum, [kind, count]) => sum + count / rate(kind, fabric), all),
    0,
  );
  const finishing = steps.reduce((sum, { minutes }) => sum + (minutes ?? STEP_MINUTES), 0);
  return derive(
    'min',
    'time = stitches at their rate + finishing',
    {
      stitches: prior(working, 'min', TIME_SPREAD * working, '22 single, 17 half double, 14 double a minute (US)'),
      finishing: prior(finishing, 'min', TIME_SPREAD * finishing, 'minutes of each step'),
    },
    (v) => v.stitches + v.finishing,
  );
}

/** More than this at the hook is more than one sitting, minutes (prior, ours). */
export const ONE_SITTING_MINUTES = 150;
