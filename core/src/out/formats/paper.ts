import { PAPERS, type Paper } from '../paper/papers';
import type { Schools } from '../../pattern';
import type { Plan } from '../../plan/plan';
import { LENGTH_UNITS } from '../../base/units';
import { withoutStrayOptions } from './earlier';
import { optional, required, type Form } from './form';
import { planForm } from './plan';
import { check, type Checked } from './toJoi';

/** What can be put on paper. */
export const SHEETS = ['pattern', 'outline', 'lining'] as const;
export type SheetKind = (typeof SHEETS)[number];

/** How it is to be read, and on what it is printed; what is left out is as the plan’s own schools say. */
interface PaperWishes {
  paper?: Paper;
  style?: 'full' | 'short';
  terms?: Schools['terms'];
  units?: Schools['units'];
  hand?: Schools['hand'];
}

export interface PaperAsk extends PaperWishes {
  plan: Plan;
  of: SheetKind;
}

const wishes = {
  paper: optional({ is: 'one-of', values: Object.keys(PAPERS) }),
  style: optional({ is: 'one-of', values: ['full', 'short'] }),
  terms: optional({ is: 'one-of', values: ['US', 'UK'] }),
  units: optional({ is: 'one-of', values: LENGTH_UNITS }),
  hand: optional({ is: 'one-of', values: ['right', 'left'] }),
} satisfies Extract<Form, { is: 'object' }>['keys'];

const askForm: Form = {
  is: 'object',
  keys: { plan: required(planForm), of: required({ is: 'one-of', values: SHEETS }), ...wishes },
};
const wishesForm: Form = { is: 'object', keys: wishes };

/** Checks the form of what is asked for on paper, with the plan it is of. */
export function checkPaper(value: unknown): Checked<PaperAsk> {
  return check<PaperAsk>(askForm, withoutStrayOptions(value), 'paper');
}

/** Checks how a kept plan is wanted on paper. */
export function checkPaperWishes(value: unknown): Checked<PaperWishes> {
  return check<PaperWishes>(wishesForm, value, 'paper');
}
