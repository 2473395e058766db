import { byCode } from '../../base/units';
import type { MakingStep } from '../log';
import { dayAfter, type Day } from './days';
import { minutesOn, type HoursSpec } from './hours';
import { endingAfter, isShaping, type Ending } from './places';
import type { ToDo } from './toDo';

/** A stretch of a make that is worked in one go. */
export interface Sitting {
  /** Its make or plan, and which of its sittings it is, from 1. */
  job: string;
  number: number;
  day: Day;
  minutes: number;
  /** The steps that are ended in it, in order; none where a long row is only gone on with. */
  steps: readonly MakingStep[];
  /** Where it is left: in the middle of a row only where the row is longer than the day has time. */
  ends: Ending | 'within-row';
}

/** Days that are planned ahead: who needs longer has no plan but a wish. */
export const MOST_DAYS = 370;

/** A sitting is not worth taking the work out for less, minutes (prior, ours). */
const LEAST_MINUTES = 10;

/** For a better place a sitting may end so much before its time, as a share of it (prior, ours). */
const GIVEN_UP = 0.3;

/** Jobs in the order they are worked: the one wanted first, then as they stand; what is begun before what is not. */
export function inTurn(jobs: readonly ToDo[]): ToDo[] {
  const when = ({ job }: ToDo) => job.wanted ?? '9999';
  return jobs
    .map((job, index) => ({ job, index }))
    .sort((a, b) => byCode(when(a.job), when(b.job)) || Number(b.job.begun) - Number(a.job.begun) || a.index - b.index)
    .map(({ job }) => job);
}

/** A job while it is laid out over the days. */
interface Laid {
  job: ToDo;
  next: number;
  /** Minutes of its next step that are done. */
  into: number;
  number: number;
}

/**
 * The sittings of all jobs from a day on: each day’s hours go to the job that is wanted first, until it is done; every sitting
 * ends at a good place, the end of a section before the end of any row, never inside a shaping round (handbook 7).
 *
 * @param pace how much longer than reckoned everything takes, as a factor
 */
export function sittingsOf(hours: HoursSpec, from: Day, jobs: readonly ToDo[], pace = 1): Sitting[] {
  const laid = inTurn(jobs).map((job): Laid => ({ job, next: 0, into: 0, number: 0 }));
  const all: Sitting[] = [];
  for (let ahead = 0; ahead < MOST_DAYS; ahead += 1) {
    const open = laid.filter(({ job, next }) => next < job.steps.length);
    if (open.length === 0) break;
    const day = dayAfter(from, ahead);
    const has = minutesOn(hours, day);
    let left = has;
    for (const one of open) {
      if (left < Math.min(LEAST_MINUTES, has) || left <= 0) break;
      const sitting = sit(one, left, left === has, pace);
      if (!sitting) continue;
      all.push({ ...sitting, day });
      left -= sitting.minutes;
    }
  }
  return all;
}

/** The next sitting of a job in so much time; nothing where not even a row fits beside other work. */
function sit(laid: Laid, time: number, wholeDay: boolean, pace: number): Omit<Sitting, 'day'> | undefined {
  const { job, next } = laid;
  const { steps } = job;
  const lasts = (index: number) => pace * job.minutes[index]! - (index === next ? laid.into : 0);
  let minutes = 0;
  let end = next;
  let best: { end: number; minutes: number } | undefined;
  while (end < steps.length && minutes + lasts(end) <= time + 1e-9) {
    minutes += lasts(end);
    end += 1;
    if (endingAfter(steps, end - 1) !== 'row') best = { end, minutes };
  }
  if (end < steps.length && best && best.minutes >= (1 - GIVEN_UP) * minutes) ({ end, minutes } = best);
  if (end === next) return wholeDay ? goOn(laid, time, lasts(next)) : undefined;
  return ended(laid, end, minutes);
}

function ended(laid: Laid, end: number, minutes: number): Omit<Sitting, 'day'> {
  const { job, next } = laid;
  Object.assign(laid, { next: end, into: 0, number: laid.number + 1 });
  return {
    job: job.job.id,
    number: laid.number,
    minutes,
    steps: job.steps.slice(next, end),
    ends: endingAfter(job.steps, end - 1),
  };
}

/** A row that is longer than the day has time is gone on with the next day, unless it is shaped: that one is worked to its end. */
function goOn(laid: Laid, time: number, lasts: number): Omit<Sitting, 'day'> {
  if (isShaping(laid.job.steps[laid.next]!)) return ended(laid, laid.next + 1, lasts);
  laid.into += time;
  laid.number += 1;
  return { job: laid.job.job.id, number: laid.number, minutes: time, steps: [], ends: 'within-row' };
}

/** The day a job is done; null where it is not within the days that are planned. */
export function doneOn(sittings: readonly Sitting[], id: string): Day | null {
  const last = sittings.filter(({ job }) => job === id).at(-1);
  return last?.ends === 'whole' ? last.day : null;
}
