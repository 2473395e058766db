import { chance, mend, PlanProblem, reckon, ways, type Plan, type PlanFault, type WaysAsk } from '@keep-snug/core';
import type { MendAsk } from '@keep-snug/core/formats';
import { repeat, type RepeatAsk } from '@keep-snug/core/repeat';
import { onPaper, type SheetAsk } from '../paper/onPaper';
import { begin, type Begun } from './processorTime';

/** What is asked of a reckoning thread, by the name of the question. */
export type Question =
  | { is: 'reckon'; ask: Plan }
  | { is: 'chance'; ask: Plan }
  | { is: 'ways'; ask: WaysAsk }
  | { is: 'mend'; ask: MendAsk }
  | { is: 'paper'; ask: SheetAsk }
  | { is: 'repeat'; ask: RepeatAsk };

export type Reckoned = { ok: true; value: unknown } | { ok: false; errors: readonly PlanFault[] };

function answerTo(question: Question): unknown {
  switch (question.is) {
    case 'reckon':
      return reckon(question.ask);
    case 'chance':
      return chance(question.ask);
    case 'ways':
      return ways(question.ask);
    case 'mend':
      return mend(question.ask.plan, question.ask.events);
    case 'repeat':
      return repeat(question.ask);
    case 'paper':
      return onPaper(question.ask);
  }
}

/** One question reckoned. What cannot be reckoned is an answer too. */
export async function answered(question: Question): Promise<Reckoned> {
  try {
    return { ok: true, value: await answerTo(question) };
  } catch (error) {
    if (error instanceof PlanProblem) return { ok: false, errors: error.errors };
    throw error;
  }
}

/** The same, in a thread of its own: it says when it begins. */
export default function work({ question, begun }: { question: Question; begun: Begun }): Promise<Reckoned> {
  begin(begun);
  return answered(question);
}
