import { chance, ways, type Plan, type WaysAsk } from '@keep-snug/core';
import { repeat, type RepeatAsk } from '@keep-snug/core/repeat';
import { planDays, type DaysAsk } from '@keep-snug/core/batches';
import { expose } from 'comlink';

/** What takes longer than a frame, reckoned beside the page by the same core. */
const worker = {
  chance: (plan: Plan) => chance(plan),
  ways: (ask: WaysAsk) => ways(ask),
  repeat: (ask: RepeatAsk) => repeat(ask),
  sittings: (ask: DaysAsk) => planDays(ask),
};

export type ReckonWorker = typeof worker;

expose(worker);
