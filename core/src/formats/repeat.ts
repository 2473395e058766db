import type { RepeatAsk } from '../repeat';
import { REPEAT_EFFECTS } from '../repeating';
import { withoutStrayOptions } from './earlier';
import { optional, required, type Form } from './form';
import { planForm } from './plan';
import { check, toJoi, type Checked } from './toJoi';

const MOST_RUNS = 40;
const LONGEST_RUN = 2000;

const run: Form = {
  is: 'object',
  keys: {
    name: required({ is: 'text', min: 1, max: 40 }),
    stitches: optional({ is: 'number', min: 0.5, max: LONGEST_RUN, unit: 'stitches' }),
    mm: optional({ is: 'number', min: 1, max: 100_000, unit: 'mm' }),
  },
  atLeastOne: ['stitches', 'mm'],
  atMostOne: ['stitches', 'mm'],
};

const schema = toJoi({
  is: 'object',
  keys: {
    plan: required(planForm),
    runs: required({ is: 'list', of: run, min: 1, max: MOST_RUNS }),
    effect: optional({ is: 'one-of', values: REPEAT_EFFECTS }),
    seed: optional({ is: 'number', min: 0, max: 2 ** 32 - 1, whole: true }),
  },
});

/** Checks the form of a question for what a repeating yarn comes to. */
export function checkRepeat(value: unknown): Checked<RepeatAsk> {
  return check<RepeatAsk>(schema, withoutStrayOptions(value), 'repeat');
}
