import type { KeptEvent } from '../../make/log';
import type { Plan } from '../../plan/plan';
import { withoutStrayOptions } from './earlier';
import { eventForm, MOST_EVENTS } from './events';
import { required, type Form } from './form';
import { planForm } from './plan';
import { check, type Checked } from './toJoi';

/** What is asked of `mend`: the plan a make was begun with, and all that happened to it. */
export interface MendAsk {
  plan: Plan;
  events: readonly KeptEvent[];
}

const mendForm: Form = {
  is: 'object',
  keys: { plan: required(planForm), events: required({ is: 'list', of: eventForm, max: MOST_EVENTS }) },
};

/** Checks the form of a question for what to do with a make. */
export function checkMend(value: unknown): Checked<MendAsk> {
  return check<MendAsk>(mendForm, withoutStrayOptions(value), 'mend');
}
