import type { RepeatAsk } from '../../compare/repeat';
import { REPEAT_EFFECTS } from '../../craft/repeating';
import { withoutStrayOptions } from './earlier';
import { eventForm, MOST_EVENTS } from './events';
import { optional, required, type Form } from './form';
import { planForm, runsForm } from './plan';
import { check, type Checked } from './toJoi';

const askForm: Form = {
  is: 'object',
  keys: {
    plan: required(planForm),
    runs: required(runsForm),
    effect: optional({ is: 'one-of', values: REPEAT_EFFECTS }),
    events: optional({ is: 'list', of: eventForm, max: MOST_EVENTS }),
    seed: optional({ is: 'number', min: 0, max: 2 ** 32 - 1, whole: true }),
  },
};

/** Checks the form of a question for what a repeating yarn comes to. */
export function checkRepeat(value: unknown): Checked<RepeatAsk> {
  return check<RepeatAsk>(askForm, withoutStrayOptions(value), 'repeat');
}
