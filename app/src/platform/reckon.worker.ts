import { chance, waysByShape, type Plan, type WaysAsk, type WaysSoFar } from '@keep-snug/core';
import { repeat, type RepeatAsk } from '@keep-snug/core/repeat';
import { planDays, type DaysAsk } from '@keep-snug/core/batches';
import { expose } from 'comlink';

/** What takes longer than a frame, reckoned beside the page by the same core. */
const worker = {
  chance: (plan: Plan) => chance(plan),
  /** Tells what was found after every shape, and stops where it is told to; between two of them other questions are answered. */
  ways: async (ask: WaysAsk, tell: (found: WaysSoFar) => boolean | Promise<boolean>) => {
    for (const found of waysByShape(ask)) if (!(await tell(found))) return;
  },
  repeat: (ask: RepeatAsk) => repeat(ask),
  sittings: (ask: DaysAsk) => planDays(ask),
};

export type ReckonWorker = typeof worker;

expose(worker);
