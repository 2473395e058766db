import { type Plan, type PlanFault, type WaysAsk } from '@keep-snug/core';
/** What is asked of a reckoning thread, by the name of the question. */
export type Question =
  | {
      is: 'reckon';
      ask: Plan;
    }
  | {
      is: 'chance';
      ask: Plan;
    }
  | {
      is: 'ways';
      ask: WaysAsk;
    };
export type Reckoned =
  | {
      ok: true;
      value: unknown;
    }
  | {
      ok: false;
      errors: readonly PlanFault[];
    };
/** One question reckoned, in a thread of its own. What cannot be reckoned is an answer too. */
export default function work(question: Question): Reckoned;
