import { hookChange } from './fabric';
import { PlanProblem, type Advice } from './figure';
import { FITS, type Verdict } from './fit';
import type { Plan } from './plan';
import { applyChange } from './change';
import { shapeDefinition, type Choice, type ChoiceOption } from './shapes';
import { formatNumber, withArticle } from './units';
import { workOut, type WorkedOut } from './workOut';

/** One change of a plan after which its counts fit. */
export interface WouldFit {
  /** As an instruction, without its full stop: "use a 3.5 mm hook". */
  text: string;
  change: Record<string, unknown>;
  plan: Plan;
  out: WorkedOut;
}

interface Misfit {
  choice: Choice;
  option: ChoiceOption;
}

/** A change to be tried: in words, and as entries of the plan. */
interface Trial {
  text: string;
  change: Record<string, unknown>;
}

/** How far from the plan's own hook others are tried, the nearest first, mm (ours). */
const HOOK_STEPS = [-0.5, 0.5, -1, 1, -1.5, 1.5, -2, 2, 3, -3];

const HOOKS = { least: 1, most: 25 } as const;

/** The choices whose best count, in force, does not fit; a count that was picked is answered for where it is picked. */
function misfits({ choices }: WorkedOut['built']): Misfit[] {
  return choices.flatMap((choice) => {
    const option = choice.options.find((one) => one.chosen)!;
    return option.best && option.verdict !== 'fits' ? [{ choice, option }] : [];
  });
}

/** Whether no whole count of a plan fits as it is. */
export const isMisfit = ({ built }: WorkedOut): boolean => misfits(built).length > 0;

/**
 * What would make a plan's counts fit whose best one does not: the nearest hook, another fit, an edging, another stitch, each
 * only where it truly does (handbook 3: silence is a defect).
 */
export function whatWouldFit(plan: Plan): WouldFit[] {
  return [hookTrials(plan), edgingTrials(plan), fitTrials(plan), stitchTrials(plan)].flatMap((trials) => {
    const found = firstThatFits(plan, trials);
    return found ? [found] : [];
  });
}

function firstThatFits(plan: Plan, trials: readonly Trial[]): WouldFit | undefined {
  for (const trial of trials) {
    const next = applyChange(plan, trial.change);
    const out = workedOrNot(next);
    if (out && !isMisfit(out)) return { ...trial, plan: next, out };
  }
  return undefined;
}

function workedOrNot(plan: Plan): WorkedOut | undefined {
  try {
    return workOut(plan);
  } catch (error) {
    if (error instanceof PlanProblem) return undefined;
    throw error;
  }
}

function hookTrials({ fabric }: Plan): Trial[] {
  return HOOK_STEPS.map((step) => fabric.hookMm + step)
    .filter((mm) => mm >= HOOKS.least && mm <= HOOKS.most)
    .map((mm) => ({
      text: `use ${withArticle(`${formatNumber(mm, 2)} mm hook`)}`,
      change: hookChange(fabric, mm),
    }));
}

function edgingTrials({ shape }: Plan): Trial[] {
  const field = shapeDefinition(shape.kind)!.options.find(({ key }) => key === 'edging');
  if (field?.kind !== 'number') return [];
  const now = Number(shape.edging ?? field.default);
  return [now + 1, now - 1, now + 2, now - 2]
    .filter((rounds) => rounds >= (field.min ?? 0) && rounds <= (field.max ?? 0))
    .map((rounds) => ({
      text:
        rounds === 0 ? 'leave out the edging' : `work an edging of ${rounds === 1 ? '1 round' : `${rounds} rounds`}`,
      change: { 'shape.edging': rounds },
    }));
}

function fitTrials({ fit }: Plan): Trial[] {
  // what was typed for one fit is not meant for another
  const typed = Object.fromEntries(
    ['easePercent', 'easeMm'].flatMap((key) => (key in fit ? [[`fit.${key}`, undefined]] : [])),
  );
  return FITS.filter(({ id }) => id !== fit.name).map(({ id, name }) => ({
    text: `choose the fit “${name}”`,
    change: { 'fit.name': id, ...typed },
  }));
}

/** Stitches of another width, without a repeat to obey. */
const PLAIN = ['single', 'half-double', 'double'] as const;

function stitchTrials({ fabric }: Plan): Trial[] {
  // a swatch in one stitch is not one in another, and bands have their own
  if (fabric.bands) return [];
  return PLAIN.filter((id) => id !== fabric.stitch).map((id) => ({
    text: `work it in {${id}}`,
    change: { 'fabric.stitch': id, 'fabric.pattern': undefined, ...gaugeUnder(fabric) },
  }));
}

/** What was measured stays, under the name of the stitch it was worked in. */
function gaugeUnder({ stitch, pattern, gauge }: Plan['fabric']): Record<string, unknown> {
  if (!gauge || gauge.stitch !== undefined) return {};
  return { 'fabric.gauge.stitch': stitch, ...(pattern ? { 'fabric.gauge.pattern': pattern } : {}) };
}

const COMES: Readonly<Record<Exclude<Verdict, 'fits'>, string>> = { tight: 'too tight', loose: 'too loose' };

/** Says that no whole count fits, and what would. */
export function misfitAdvice(plan: Plan, out: WorkedOut): Advice[] {
  const [first] = misfits(out.built);
  if (!first) return [];
  const { choice, option } = first;
  const [best, ...more] = whatWouldFit(plan);
  const others = more.map(({ text }) => text);
  return [
    {
      id: 'no-count-fits',
      severity: 'warning',
      text: `No whole count fits: ${option.count} ${choice.noun} come out ${Math.abs(Math.round(100 * option.easeShare))} % ${option.easeShare < 0 ? 'smaller' : 'larger'} than the item, ${COMES[option.verdict as 'tight' | 'loose']} for “${plan.fit.name}”.`,
      repair: best
        ? `${capital(best.text)}${others.length > 0 ? `, or ${others.join(', or ')}` : ''}.`
        : 'Choose a thinner yarn: its smaller stitches come nearer to what is asked.',
      at: `picks.${choice.id}`,
      ...(best ? { change: best.change } : {}),
    },
  ];
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
