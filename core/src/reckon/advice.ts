import { doubtGauge, fitness, hookChange, swatchAdvice, withBands, workFabric, type Duty } from '../craft/fabric';
import { attempted, type Advice } from '../base/figure';
import { collisions } from '../fittings';
import { applyChange } from '../plan/change';
import type { Plan } from '../plan/plan';
import type { Built } from '../shapes';
import { foundationAdvice } from '../shapes/common/advice';
import type { WorkedThing } from '../craft/things';
import { mmToken } from '../base/units';
import { workOut } from './build';
import type { WorkedOut } from './types';

/**
 * All that there is to say of a plan worked out, the thing first, the fittings last. A change is offered only where it helps: each is
 * tried.
 */
export const adviceOf = (plan: Plan, out: WorkedOut): Advice[] =>
  findings(plan, out).map(({ otherwise, ...advice }) => {
    if (!advice.change || helps(plan, advice)) return advice;
    const { change: _vain, ...rest } = advice;
    return otherwise === undefined ? rest : { ...rest, repair: otherwise };
  });

/** Whether a plan with the change can be worked, and the same is said of it no more. */
function helps(plan: Plan, { id, at, change }: Advice): boolean {
  const next = applyChange(plan, change!);
  const out = attempted(() => workOut(next));
  return out !== undefined && !findings(next, out).some((one) => one.id === id && one.at === at);
}

/** The same before any change is tried, for whoever only reads what is found. */
export function findings(plan: Plan, { thing, fabric, built, placed }: WorkedOut): Advice[] {
  const all = [
    ...thing.advice,
    ...doubtGauge(plan.fabric, fabric),
    ...swatchAdvice(plan.fabric),
    ...fitness(plan.fabric, fabric, dutyOf(thing), (spec) =>
      withBands(spec, workFabric(spec, fabric.worked, thing.girth)),
    ),
    ...built.pieces.slice(0, 1).flatMap((piece) => foundationAdvice(piece.fabric, piece.foundation)),
    ...built.advice,
    ...placed.flatMap((p) => p.advice),
    ...conditionAdvice(built),
    ...collisions(placed),
  ];
  return all.map((advice) => (advice.change ? { ...advice, change: onHookWhole(plan, advice.change) } : advice));
}

/** Rows typed for the gauge there was: on another hook they are others. */
const TYPED_ROWS = ['allRows', 'frontRows'] as const;

/** Another hook as a whole change: what was measured keeps the hook it was measured on, and rows that were typed are reckoned again. */
function onHookWhole({ fabric, shape }: Plan, change: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const hook = change['fabric.hookMm'];
  if (typeof hook !== 'number') return change;
  const typed = TYPED_ROWS.filter((key) => shape[key] !== undefined);
  return {
    ...change,
    ...hookChange(fabric, hook),
    ...Object.fromEntries(typed.map((key) => [`shape.${key}`, undefined])),
  };
}

/** What the thing asks of the fabric: not to let its tips through, and to carry it. */
function dutyOf({ wants, mass, getsWet, profile }: WorkedThing): Duty {
  const tips = (wants ?? []).map(({ tip }) => tip);
  return {
    ...(tips.length > 0 ? { tipMm: Math.min(...tips) } : {}),
    ...(mass ? { loadG: mass.value } : {}),
    small: profile === 'given',
    wet: getsWet,
  };
}

/** Costing the count so much is worth a word, mm (prior, ours). */
const COSTS_TELL_MM = 3;

/** What each wish of a fitting costs the count, where it puts the best count 3 mm or more off (handbook 4). */
function conditionAdvice({ choices }: Built): Advice[] {
  return choices.flatMap(({ id, costs, noun }) =>
    costs
      .filter(({ mm }) => mm >= COSTS_TELL_MM)
      .map(({ text, mm, without }) => ({
        id: `condition-costs-${id}`,
        severity: 'advice' as const,
        text: `The count has to be ${text}. That is ${mmToken(mm)} further from the size you asked for than the best count, ${without} ${noun}.`,
        repair: 'Keep it, or change the add-on that needs this count.',
        at: 'fittings',
      })),
  );
}
