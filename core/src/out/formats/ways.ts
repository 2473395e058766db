import { FITS } from '../../craft/fit';
import { SHAPES } from '../../shapes';
import type { WaysAsk } from '../../compare/ways';
import { withoutStrayOptions } from './earlier';
import { optional, required, type Form } from './form';
import { atHandForm, fabricForm, planForm } from './plan';
import { check, type Checked } from './toJoi';
import { HOOKS } from '../../craft/fabric';

/** What is asked of `ways`: a plan, and what to vary. */
const waysForm: Form = {
  is: 'object',
  keys: {
    plan: required(planForm),
    shapes: optional({
      is: 'list',
      of: { is: 'one-of', values: SHAPES.map(({ id }) => id) },
      min: 1,
      max: SHAPES.length,
    }),
    hooksMm: optional({
      is: 'list',
      of: { is: 'number', min: HOOKS.least, max: HOOKS.most, unit: 'mm' },
      min: 1,
      max: 12,
    }),
    fits: optional({ is: 'list', of: { is: 'one-of', values: FITS.map(({ id }) => id) }, min: 1, max: FITS.length }),
    fabrics: optional({ is: 'list', of: fabricForm, min: 1, max: 6 }),
    atHand: optional(atHandForm),
  },
};

/** As many ways as one question may compare. */
const MOST_WAYS = 400;

/** Checks the form of a question for ways. */
export function checkWays(value: unknown): Checked<WaysAsk> {
  const checked = check<WaysAsk>(waysForm, withoutStrayOptions(value), 'ways');
  if (!checked.ok) return checked;
  const { shapes = SHAPES, hooksMm = [1], fits = FITS, fabrics = [1] } = checked.value;
  const asked = shapes.length * hooksMm.length * fits.length * fabrics.length;
  if (asked <= MOST_WAYS) return checked;
  const message = `${asked} ways are asked for, and ${MOST_WAYS} are the most at once. Name fewer shapes, hooks, fits or yarns.`;
  return { ok: false, errors: [{ path: 'ways', message }] };
}
