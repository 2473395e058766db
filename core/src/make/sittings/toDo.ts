import { foldMake, madeUncounted, stepsToMake, type KeptEvent, type MakingStep } from '../log';
import { minutesLeft, paceWithin, planFollowed } from '../adjust';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { rowMinutes, slowerBy, TIME_SPREAD } from '../../reckon/supplies';
import type { Day } from './days';

/** A make, or a plan that is to be made, and when it is wanted. */
export interface Job {
  id: string;
  title: string;
  /** The plan it was begun with, or is to be. */
  plan: Plan;
  /** What happened to it; nothing where it is not begun. */
  events?: readonly KeptEvent[];
  wanted?: Day | undefined;
  /** The batch it is a piece of, by its id: all of them are wanted together. */
  group?: string | undefined;
}

/** What is left to do of a job, step by step, each with its minutes at the job’s own pace. */
export interface ToDo {
  job: Job;
  steps: readonly MakingStep[];
  minutes: readonly number[];
  /** How surely the pace is known, as a fraction: a log-normal spread. */
  spread: number;
  begun: boolean;
}

/**
 * What is left of a job. A step that is no row has its share of what finishing takes, so that all of them together are what
 * the make itself says is left (handbook 7).
 *
 * @throws PlanProblem where its plan cannot be reckoned
 */
export function toDoOf(job: Job): ToDo {
  const events = job.events ?? [];
  const plan = planFollowed(job.plan, events);
  const worked = reckon(plan);
  const all = stepsToMake(worked.steps);
  const { done } = foldMake(events, all);
  const ticked = new Set(done);
  const isDone = new Set([...ticked, ...madeUncounted(all, ticked)]);
  const pace = paceWithin(plan, all, events);
  const factor = pace?.factor ?? slowerBy(plan.fabric.rate);
  const steps = all.filter(({ id }) => !isDone.has(id));
  const left = minutesLeft(plan, { steps: all, supplies: worked.supplies }, isDone, factor);
  const rows = steps.map(({ work, row }) => (work && row !== null ? factor * rowMinutes(work) : 0));
  const besides = steps.filter(({ row, kind }) => row === null && kind !== 'foundation').length;
  const rest = Math.max(0, left - rows.reduce((sum, one) => sum + one, 0));
  const each = besides > 0 ? rest / besides : 0;
  return {
    job,
    steps,
    minutes: steps.map(({ row, kind }, index) => (row === null && kind !== 'foundation' ? each : rows[index]!)),
    spread: pace?.spread ?? plan.fabric.rate?.spread ?? TIME_SPREAD,
    begun: done.length > 0,
  };
}
