import {
  BASES,
  isWithin,
  LIKELY,
  MAY_SAY,
  shrunk,
  within,
  workFabric,
  type Rate,
  type OwnRatio,
} from '../../craft/fabric';
import { finishOf, paceOf, stepsToMake, type KeptEvent, type MakingStep, type Pace } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { rowMinutes, slowerBy, TIME_SPREAD, YARN_SPREAD } from '../../reckon/supplies';
import { fabricMade } from './learnt';
import { planFollowed } from './here';
import type { Worked } from '../../reckon/types';
import { fittingDefinition } from '../../fittings';

/** How much one make of a hand differs from the next, as a fraction (priors, handbook 7 and ours). */
const PACE_BETWEEN = 0.15;
const YARN_BETWEEN = 0.05;

/** What a finished make showed beside its sizes, against what is usual: how long it took and how much yarn, as factors. */
export interface RatesMade {
  time?: number;
  yarn?: number;
  strap?: number;
}

/** A plan as of a hand nobody knows. */
const ofUnknownHand = (plan: Plan): Plan => {
  const { rate: _rate, yarnUse: _use, strapGrowth: _grows, weighed: _weighed, ...fabric } = plan.fabric;
  return { ...plan, fabric };
};

/**
 * What a finished make took of time and yarn against what such a piece usually takes: the time that was typed, else that of
 * the ticks;
 * the grams that were typed, less what is in tails and seams, at the size its stitches came out (handbook 7 and 10).
 *
 * @param plan the plan the make was begun with
 * @throws PlanProblem where the plan followed cannot be reckoned
 */
export function ratesMade(plan: Plan, events: readonly KeptEvent[]): RatesMade {
  const finish = finishOf(events);
  if (!finish) return {};
  const usual = ofUnknownHand(planFollowed(plan, events));
  const { steps, supplies, fabric, pieces } = reckon(usual);
  const pace = paceOf(stepsToMake(steps), events);
  const time = finish.minutes ? finish.minutes / supplies.time.value : pace?.seen;
  const made = fabricMade(plan, events);
  // of the fabric alone: a size typed wrongly may be none that the piece could be made in
  const wider = made ? workFabric(made, pieces[0]!.worked).stitchWidth.value / fabric.stitchWidth.value : 1;
  return {
    ...(time ? { time } : {}),
    ...strapMade(usual, finish.asMade?.strap),
    ...(finish.grams ? { yarn: takenEach(finish.grams, supplies.yarn) / wider } : {}),
  };
}

/** What a make's stitches took against what is usual: tails, seams and what is sewn on are as long whatever the hand, and left out. */
const takenEach = (grams: number, { grams: usual, stitchGrams }: Worked['supplies']['yarn']): number =>
  Math.max(0, grams - (usual.value - stitchGrams)) / Math.max(1e-9, stitchGrams);

/** The loop of a strap as it was planned to hang, mm; undefined where there is none that grows by an estimate. */
export function strapLoop({ fittings }: Pick<Worked, 'fittings'>): { loop: number; growth: number } | undefined {
  const figures = fittings.find(({ kind }) => fittingDefinition(kind)?.grows)?.figures;
  const [loop, growth] = [figures?.loop?.value, figures?.growth];
  return loop && growth?.kind === 'prior' && growth.value > 0 ? { loop, growth: growth.value } : undefined;
}

/** What a strap grew against what is usual: it was made as long as to hang as planned, and hangs as it does. */
function strapMade(usual: Plan, hangs: number | undefined): { strap?: number } {
  const planned = hangs && strapLoop(reckon(usual));
  if (!planned) return {};
  const grew = ((1 + planned.growth) * hangs!) / planned.loop - 1;
  return { strap: Math.max(LEAST_GROWTH, grew / planned.growth) };
}

/** A strap that hangs no longer than it was made has grown by this part of what is usual at the least (prior, ours). */
const LEAST_GROWTH = 0.1;

/** How little growth is known before any strap was hung, and how much one differs from the next, as fractions (priors, ours). */
const GROWTH_UNKNOWN = 0.5;
const GROWTH_BETWEEN = 0.3;

/** How straps of this hand grow against what is usual, likewise; undefined where none was measured hanging. */
export function strapGrowthFrom(makes: readonly RatesMade[]): OwnRatio | undefined {
  const grown = likely(makes, 'strap');
  if (grown.length === 0) return undefined;
  return own(shrunk(grown, GROWTH_UNKNOWN, GROWTH_BETWEEN), grown.length);
}

/** Single crochet (US) a minute where everything takes so much longer than usual, as a factor (prior, handbook 7). */
export const perMinuteAt = (time: number): number => BASES.single.aMinute / time;

/**
 * The maker's own pace from finished makes, shrunk towards that of an unknown hand by how few they are (handbook 2.1 and 7);
 * undefined where none was timed.
 */
export function rateFrom(makes: readonly RatesMade[]): Rate | undefined {
  const times = likely(makes, 'time');
  if (times.length === 0) return undefined;
  const { ratio, spread } = shrunk(times, TIME_SPREAD, PACE_BETWEEN);
  return {
    perMinute: within(perMinuteAt(ratio), MAY_SAY.perMinute),
    spread: within(spread, MAY_SAY.rateSpread),
    makes: times.length,
  };
}

/** The pace of a make that goes on, held towards the one its plan was reckoned with (handbook 7). */
export function paceWithin(
  { fabric: { rate } }: Plan,
  steps: readonly MakingStep[],
  events: readonly KeptEvent[],
): Pace | undefined {
  return paceOf(steps, events, { factor: slowerBy(rate), spread: rate?.spread ?? TIME_SPREAD });
}

/** Minutes that are left of a make at a pace: its rows by their stitches, what else there is in proportion. */
export function minutesLeft(
  { fabric: { rate } }: Plan,
  { steps, supplies }: { steps: readonly MakingStep[]; supplies: Worked['supplies'] },
  done: ReadonlySet<string>,
  factor: number,
): number {
  const rows = steps.filter(({ work, row }) => work && row !== null);
  const usual = (of: readonly MakingStep[]) => of.reduce((sum, { work }) => sum + rowMinutes(work!), 0);
  const finishing = Math.max(0, supplies.time.value - slowerBy(rate) * usual(rows));
  const besides = steps.filter(({ row, kind }) => row === null && kind !== 'foundation');
  const toDo = besides.filter(({ id }) => !done.has(id)).length;
  return factor * usual(rows.filter(({ id }) => !done.has(id))) + (finishing * toDo) / Math.max(1, besides.length);
}

/** Nobody takes so much more or less than is usual: something else was timed, weighed or measured with it. */
const likely = (makes: readonly RatesMade[], key: keyof RatesMade): number[] =>
  makes.flatMap(({ [key]: one }) => (one !== undefined && isWithin(one, LIKELY[key]) ? one : []));

const own = ({ ratio, spread }: ReturnType<typeof shrunk>, makes: number): OwnRatio => ({
  ratio: within(ratio, MAY_SAY.own),
  spread: within(spread, MAY_SAY.ownSpread),
  makes,
});

/** What the maker's own stitches take of yarn, likewise; undefined where none was weighed. */
export function yarnUseFrom(makes: readonly RatesMade[]): OwnRatio | undefined {
  const taken = likely(makes, 'yarn');
  if (taken.length === 0) return undefined;
  return own(shrunk(taken, YARN_SPREAD, YARN_BETWEEN), taken.length);
}
