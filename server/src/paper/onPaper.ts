import { PlanProblem, reckon, type Plan } from '@keep-snug/core';
import type { PaperAsk } from '@keep-snug/core/formats';
import { cuttingSheet, outlineOf } from '@keep-snug/core/paper';
import { patternPdf } from './patternPdf';
import { tiledPdf } from './tiledPdf';

/** What is asked for on paper, and the address of this house for the code on the page. */
export interface SheetAsk extends PaperAsk {
  origin: string;
}

/**
 * A plan on paper, as the bytes of a PDF: in the words and the unit asked for, else the plan's own.
 * @throws PlanProblem where the plan cannot be reckoned, or has no such sheet
 */
export async function onPaper(ask: SheetAsk): Promise<Uint8Array> {
  const { of, paper = 'A4', style: voice = 'full', origin } = ask;
  const terms = ask.terms ?? ask.plan.schools?.terms ?? 'US';
  const units = ask.units ?? ask.plan.schools?.units ?? 'mm';
  const hand = ask.hand ?? ask.plan.schools?.hand ?? 'right';
  const plan: Plan = { ...ask.plan, schools: { ...ask.plan.schools, terms, units, hand } };
  const worked = reckon(plan);
  if (of === 'pattern') return patternPdf(ask.plan, plan, worked, { terms, units, voice }, { paper, origin, hand });
  if (of === 'outline') return tiledPdf(outlineOf(worked.views[0]!, worked.title, hand), paper);
  const sheet = cuttingSheet(worked, units);
  if (!sheet)
    throw new PlanProblem([
      { path: 'fittings', message: 'no lining in this plan. Add a lining, then cut it from this sheet.' },
    ]);
  return tiledPdf(sheet, paper);
}
