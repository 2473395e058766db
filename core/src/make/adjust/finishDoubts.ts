import { isWithin, LIKELY } from '../../craft/fabric';
import type { Happening, KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { formatDuration, mmToken, plural } from '../../base/units';
import { ratesMade } from './learntRates';
import { sizesMade } from './learnt';
import { planFollowed } from './here';

type Finish = Extract<Happening, { kind: 'finished' }>;

/** What of a finish is questioned, by its entry, with what usually is. */
export type FinishDoubts = Partial<Record<'minutes' | 'grams' | 'width' | 'height', string>>;

/**
 * What a maker is asked about before a finish is kept: numbers so far from what such a piece takes that something else was
 * probably meant. Kept all the same where she says so, it teaches nothing of her hand.
 *
 * @param plan the plan the make was begun with
 * @throws PlanProblem where the plan followed cannot be reckoned
 * @source handbook 10; bounds are priors of ours
 */
export function finishDoubts(plan: Plan, events: readonly KeptEvent[], finish: Finish): FinishDoubts {
  const followed = planFollowed(plan, events);
  const { supplies, outside, inside } = reckon(followed);
  const last = events.reduce((most, { n = 0 }) => Math.max(most, n), 0);
  const told: KeptEvent = {
    ...finish,
    id: 'told',
    make: 'told',
    device: 'told',
    at: '1970-01-01T00:00:00.000Z',
    n: last + 1,
  };
  const { time, yarn } = ratesMade(plan, [...events, told]);
  const sizes = sizesMade({ outside, inside }, [told]);
  const doubts: FinishDoubts = {};
  if (finish.minutes !== undefined && time !== undefined && !isWithin(time, LIKELY.time))
    doubts.minutes = `${formatDuration(finish.minutes)}? Such a piece usually takes about ${formatDuration(roughly(supplies.time.value))}.`;
  if (finish.grams !== undefined && yarn !== undefined && !isWithin(yarn, LIKELY.yarn))
    doubts.grams = `${plural(Math.round(finish.grams), 'gram')}? Such a piece usually takes about ${plural(Math.round(supplies.yarn.grams.value), 'gram')}.`;
  for (const { of, planned, made } of sizes)
    if ((of === 'width' || of === 'height') && made !== undefined && !isWithin(made / planned, LIKELY.hand))
      doubts[of] = `${mmToken(made)}? It was planned to be ${mmToken(planned)}.`;
  return doubts;
}

/** To ten minutes from an hour on, below that to five. */
function roughly(minutes: number): number {
  const step = minutes >= 60 ? 10 : 5;
  return Math.max(step, Math.round(minutes / step) * step);
}
