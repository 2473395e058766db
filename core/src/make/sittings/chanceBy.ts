import { phi } from '../../base/figure';
import type { Day } from './days';
import type { HoursSpec } from './hours';
import { doneOn, sittingsOf } from './sittings';
import type { ToDo } from './toDo';
import { SITTING_SPREAD } from '../log/pace';

/** Halvings of the pace that is looked for: to a thousandth. */
const HALVINGS = 14;
const QUICKEST = 1 / 6;
const SLOWEST = 6;

/**
 * The chance that a job is done by a day: by how much slower than reckoned all that comes before its end may go, against how
 * surely the pace is known and how much one sitting differs from the next (law of the log-normal; priors, handbook 7).
 *
 * @param jobs all that share the hours, with the pace they are known to
 * @returns 0 to 1
 */
export function chanceBy(hours: HoursSpec, from: Day, jobs: readonly ToDo[], id: string, by: Day): number {
  const own = jobs.find(({ job }) => job.id === id)!;
  if (own.steps.length === 0) return 1;
  const isDone = (pace: number) => {
    const on = doneOn(sittingsOf(hours, from, jobs, pace), id);
    return on !== null && on <= by;
  };
  if (!isDone(QUICKEST)) return 0;
  if (isDone(SLOWEST)) return 1;
  let [low, high] = [Math.log(QUICKEST), Math.log(SLOWEST)];
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2;
    if (isDone(Math.exp(middle))) low = middle;
    else high = middle;
  }
  const used = sittingsOf(hours, from, jobs, Math.exp(low)).filter(({ day }) => day <= by).length;
  return phi(low / Math.hypot(own.spread, SITTING_SPREAD / Math.sqrt(Math.max(1, used))));
}
