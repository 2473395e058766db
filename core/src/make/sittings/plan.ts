import { chanceBy } from './chanceBy';
import { dayAfter, type Day } from './days';
import { helpsFor, LIKELY_BY, minutesOf, type SittingHelp } from './helps';
import type { HoursSpec } from './hours';
import { doneOn, inTurn, sittingsOf, type Sitting } from './sittings';
import { toDoOf, type Job, type ToDo } from './toDo';

/** What is asked: all that is to be made, from a day on. */
export interface SittingsAsk {
  hours: HoursSpec;
  /** The first day that can be crocheted on. */
  from: Day;
  jobs: readonly Job[];
}

/** When a job is done, and how surely by the day it is wanted. */
export interface JobTold {
  id: string;
  title: string;
  /** The batch it is a piece of. */
  group: string | null;
  /** Left to do, minutes. */
  minutes: number;
  sittings: number;
  /** The day it is done, as reckoned; null where the days planned do not suffice. */
  done: Day | null;
  wanted: Day | null;
  /** Of being done by then, 0 to 1; null where it is not wanted on a day, or another piece of its batch is done last. */
  chance: number | null;
  /** What would help, where it is not likely to be done by then. */
  helps: SittingHelp[];
}

export interface SittingsTold {
  sittings: Sitting[];
  jobs: JobTold[];
}

/**
 * The days ahead: what is worked in which sitting, when each make is done, the chance that it is by the day it is wanted, and
 * what would help where it is not.
 *
 * @throws PlanProblem where a plan cannot be reckoned
 * @source handbook 7
 */
export function planSittings({ hours, from, jobs }: SittingsAsk): SittingsTold {
  const toDo = jobs.map(toDoOf);
  const sittings = sittingsOf(hours, from, toDo);
  return {
    sittings,
    jobs: toDo.map((one) => {
      const { id, title, wanted = null } = one.job;
      // of a batch its last piece tells for all
      const counts = one === lastOf(toDo, one);
      const by = wanted === null || !counts ? null : wanted < from ? dayAfter(from, -1) : wanted;
      const chance = by === null ? null : chanceBy(hours, from, toDo, id, by);
      return {
        id,
        title,
        group: one.job.group ?? null,
        minutes: minutesOf(one),
        sittings: sittings.filter(({ job }) => job === id).length,
        done: doneOn(sittings, id),
        wanted,
        chance,
        helps: chance === null || chance >= LIKELY_BY ? [] : helpsFor(hours, from, toDo, id, by!),
      };
    }),
  };
}

/** Of the jobs of a group the one that is done last; of others themselves. */
const lastOf = (all: readonly ToDo[], one: ToDo): ToDo | undefined =>
  one.job.group === undefined ? one : inTurn(all.filter(({ job }) => job.group === one.job.group)).at(-1);
