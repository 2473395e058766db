import {
  attempted,
  chance,
  chanceStanding,
  finishOf,
  paceWithin,
  perMinuteAt,
  planFollowed,
  ratesMade,
  reckon,
  shapeDefinition,
  sizesMade,
  stepsToMake,
  type Fitted,
  type KeptEvent,
  type Make,
  type Plan,
  type SizeMade,
} from '@keep-snug/core';

/** How a finished piece fits, as it was said; nothing was said of some. */
export type Fits = Fitted | 'unsaid';

/** What a finished make came to, for charts and comparing. */
export interface FinishedMake {
  title: string;
  plan: Plan;
  sizes: readonly SizeMade[];
  /** Chance of fit as it stood when the last row was done, 0 to 1; and as it was said when it was begun. */
  said: number;
  saidAtFirst: number;
  fits: Fits;
  grams?: number;
  /** Planned grams. */
  planned: { grams: number };
  /** Single crochet (US) a minute that its time comes to, where that is known. */
  perMinute?: number;
  /** At the hook, as it was typed, else by the ticks. */
  minutes?: number;
  finishedAt: string;
  note?: string;
}

/** Draws for a chance among many: enough to tell one from another. */
const DRAWS = 2000;

/** Whether it sits, as it was said of a make; yes and no, as earlier versions had it. */
export function fitsOf(events: readonly KeptEvent[]): Fits {
  const fits = finishOf(events)?.fits;
  if (fits === undefined || fits === false) return fits === false ? 'tight' : 'unsaid';
  return fits === true ? 'right' : fits;
}

/** Words a finished make is found by: thing, yarn, shape. */
export function wordsOf({ plan }: Make): string {
  const { yarn, yarns = [yarn] } = plan.fabric;
  const shape = shapeDefinition(plan.shape.kind)?.name;
  return [plan.thing.name, shape, ...yarns.map((one) => one?.name)].filter(Boolean).join(' ');
}

export const latestOf = (events: readonly KeptEvent[]): string =>
  events.reduce((last, { at }) => (at > last ? at : last), '');

const known = new WeakMap<readonly KeptEvent[], FinishedMake | null>();

/** Everything that is told of a finished make; nothing where its plan cannot be calculated any more. */
export function finishedMake(make: Make, events: readonly KeptEvent[]): FinishedMake | null {
  if (known.has(events)) return known.get(events)!;
  const told = attempted(() => toldOf(make, events)) ?? null;
  known.set(events, told);
  return told;
}

function toldOf({ title, plan }: Make, events: readonly KeptEvent[]): FinishedMake {
  const followed = planFollowed(plan, events);
  const worked = reckon(followed);
  const { grams, minutes, note } = finishOf(events) ?? {};
  const { time } = ratesMade(plan, events);
  const spent = minutes ?? paceWithin(followed, stepsToMake(worked.steps), events)?.minutes;
  return {
    title,
    plan,
    sizes: sizesMade(worked, events),
    said: chanceStanding(plan, events),
    saidAtFirst: chance(plan, DRAWS).share,
    fits: fitsOf(events),
    planned: { grams: worked.supplies.yarn.grams.value },
    ...(time ? { perMinute: perMinuteAt(time) } : {}),
    finishedAt: latestOf(events),
    ...(grams === undefined ? {} : { grams }),
    ...(spent === undefined ? {} : { minutes: spent }),
    ...(note === undefined ? {} : { note }),
  };
}
