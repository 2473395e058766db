import { attempted } from '../../base/figure';
import { chance } from '../../reckon/chance';
import { onHook } from '../../craft/fabric';
import { fittingDefinition } from '../../fittings';
import { changedWays, type MendChoice } from '../adjust';
import type { Plan } from '../../plan/plan';
import { chanceBy } from './chanceBy';
import { dayAfter, type Day } from './days';
import { MOST_HOURS, type HoursSpec } from './hours';
import { MOST_DAYS } from './sittings';
import { toDoOf, type Job, type ToDo } from './toDo';

/** Something that would help a job to be done by its day, with what it leads to. */
export interface SittingHelp {
  id: string;
  /** What to do. */
  title: string;
  /** The chance then, 0 to 1. */
  chance: number;
  /** Minutes it saves; nothing where it only makes room. */
  saves?: number;
  /** Of fit, 0 to 1, where the piece becomes another. */
  fit?: number;
  /** One of these is what changes. */
  does:
    | { hours: HoursSpec }
    | { wanted: Day }
    | { plan: Plan }
    | { decide: MendChoice; asked: Plan }
    | { aside: string }
    | { fewer: number };
}

/** Well enough to rely on (handbook 8: carrying on is well from there). */
export const LIKELY_BY = 0.8;

/** What makes no difference of so much is no help (ours). */
const WORTH_TELLING = 0.03;

/** What a help is looked for with. */
interface Late {
  hours: HoursSpec;
  from: Day;
  jobs: readonly ToDo[];
  late: ToDo;
  by: Day;
  now: number;
}

/**
 * What would help a job that is not likely to be done by its day: more hours, another day, a bigger hook, without one of its
 * fittings, other work put aside; each with the chance it leads to, the best first (handbook 7).
 */
export function helpsFor(hours: HoursSpec, from: Day, jobs: readonly ToDo[], id: string, by: Day): SittingHelp[] {
  const late = jobs.find(({ job }) => job.id === id)!;
  const asked: Late = { hours, from, jobs, late, by, now: chanceBy(hours, from, jobs, id, by) };
  return [
    ...moreHours(asked),
    ...withoutFittings(asked),
    ...biggerHooks(asked),
    ...putAside(asked),
    ...fewerPieces(asked),
    ...anotherDay(asked),
  ]
    .filter((help) => help.chance >= asked.now + WORTH_TELLING)
    .sort((a, b) => Math.min(LIKELY_BY, b.chance) - Math.min(LIKELY_BY, a.chance));
}

/** Nobody crochets longer than this beyond what they have time for, minutes a day (ours). */
const MOST_MORE = 240;
const STEP_MORE = 15;

/** So much longer on every day that has time: as much as makes it likely, else as much as anybody has. */
function moreHours({ hours, from, jobs, late, by }: Late): SittingHelp[] {
  const chanceWith = (more: number) => chanceBy(longer(hours, more), from, jobs, late.job.id, by);
  let more = STEP_MORE;
  while (more < MOST_MORE && chanceWith(more) < LIKELY_BY) more += more < 60 ? STEP_MORE : 2 * STEP_MORE;
  const then = chanceWith(more);
  return [
    {
      id: 'more-hours',
      title: `Crochet ${more} minutes longer on each of these days`,
      chance: then,
      does: { hours: longer(hours, more) },
    },
  ];
}

/** Days with time have more of it; where no day has any, all have. */
function longer(hours: HoursSpec, more: number): HoursSpec {
  const none = hours.week.every((one) => one === 0);
  const add = (one: number) =>
    one > 0 || none ? Math.min(MOST_HOURS, Math.round((one + more / 60) * 1000) / 1000) : 0;
  const { days, week } = hours;
  return {
    ...hours,
    week: week.map(add),
    ...(days ? { days: days.map((one) => (one.hours > 0 ? { ...one, hours: add(one.hours) } : one)) } : {}),
  };
}

/** The first day by which it is likely. */
function anotherDay({ hours, from, jobs, late, by }: Late): SittingHelp[] {
  const { id, group } = late.job;
  // wanted later it also comes later in turn, and the rest of its batch with it
  const isMoved = ({ job }: ToDo) => job.id === id || (group !== undefined && job.group === group);
  const chanceOn = (ahead: number) => {
    const wanted = dayAfter(by, ahead);
    const moved = jobs.map((one) => (isMoved(one) ? { ...one, job: { ...one.job, wanted } } : one));
    return chanceBy(hours, from, moved, id, wanted);
  };
  let [low, high] = [0, 1];
  while (high < MOST_DAYS && chanceOn(high) < LIKELY_BY) [low, high] = [high, 2 * high];
  if (high >= MOST_DAYS) return [];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chanceOn(middle) < LIKELY_BY) low = middle;
    else high = middle;
  }
  const wanted = dayAfter(by, high);
  return [{ id: 'another-day', title: 'Allow more days', chance: chanceOn(high), does: { wanted } }];
}

/** Without each of its fittings by itself. */
function withoutFittings(asked: Late): SittingHelp[] {
  const { plan } = asked.late.job;
  return (plan.fittings ?? []).flatMap((fitting, index) => {
    const name = fittingDefinition(fitting.kind)?.name ?? fitting.kind;
    const fittings = plan.fittings!.filter((_, at) => at !== index);
    return another(asked, `without-${index}`, `Leave out the ${name.toLowerCase()}`, { ...plan, fittings });
  });
}

/** Hooks a size or two up, mm (prior, ours). */
const BIGGER = [0.5, 1];

function biggerHooks(asked: Late): SittingHelp[] {
  const { plan, events } = asked.late.job;
  // what is on the hook stays on it
  if (events && events.length > 0) return [];
  return BIGGER.flatMap((by) => {
    const hookMm = plan.fabric.hookMm + by;
    const { picks: _picks, ...rest } = plan;
    return another(asked, `hook-${hookMm}`, `Use a ${hookMm} mm hook`, {
      ...rest,
      fabric: onHook(plan.fabric, hookMm),
    });
  });
}

/** The job made by another plan: before it is begun that plan, afterwards the way to go on with the work that is there. */
function another({ hours, from, jobs, late, by }: Late, id: string, title: string, plan: Plan): SittingHelp[] {
  const made = late.begun ? goneOn(late.job, plan) : { plan };
  const next = made && attempted(() => toDoOf({ ...late.job, plan: made.plan }));
  if (!next) return [];
  const then = chanceBy(
    hours,
    from,
    jobs.map((one) => (one === late ? next : one)),
    late.job.id,
    by,
  );
  const does = 'choice' in made ? { decide: made.choice, asked: plan } : { plan };
  const fit = 'choice' in made ? made.choice.chance : chance(plan, FIT_DRAWS).share;
  return [{ id, title, chance: then, saves: minutesOf(late) - minutesOf(next), fit, does }];
}

/** Draws of fit for a help: enough to tell one from another. */
const FIT_DRAWS = 1000;

/** Minutes that are left of a job. */
export const minutesOf = ({ minutes }: ToDo): number => minutes.reduce((sum, one) => sum + one, 0);

/** The way to go on by a changed plan that pulls nothing out. */
function goneOn({ plan, events = [] }: Job, changed: Plan): { plan: Plan; choice: MendChoice } | undefined {
  const ways = attempted(() => changedWays(plan, events, changed)) ?? [];
  const choice = ways.find(({ id, from }) => from === null && id !== 'carry-on');
  return choice && { plan: choice.plan, choice };
}

/** Other work that comes before it, put aside. */
function putAside({ hours, from, jobs, late, by }: Late): SittingHelp[] {
  return jobs
    .filter((one) => one !== late && one.steps.length > 0)
    .flatMap((one) => {
      const others = jobs.filter((other) => other !== one);
      const then = chanceBy(hours, from, others, late.job.id, by);
      return [
        { id: `aside-${one.job.id}`, title: `Put ${one.job.title} aside`, chance: then, does: { aside: one.job.id } },
      ];
    });
}

/** As many pieces of a batch fewer as make the rest likely. */
function fewerPieces({ hours, from, jobs, late, by }: Late): SittingHelp[] {
  const { group } = late.job;
  const waiting = group === undefined ? [] : jobs.filter(({ job, begun }) => job.group === group && !begun);
  for (let fewer = 1; fewer < waiting.length; fewer += 1) {
    const left = jobs.filter((one) => !waiting.slice(-fewer).includes(one));
    const last = left.filter(({ job }) => job.group === group).at(-1);
    const then = last ? chanceBy(hours, from, left, last.job.id, by) : 1;
    if (then < LIKELY_BY && fewer < waiting.length - 1) continue;
    return [{ id: 'fewer', title: `Make ${fewer} fewer`, chance: then, does: { fewer } }];
  }
  return [];
}
