import { doubtGauge, fitness, swatchAdvice, workFabric, type Duty } from '../craft/fabric';
import type { Advice } from '../base/figure';
import { collisions } from '../fittings';
import type { Plan } from '../plan/plan';
import type { Built } from '../shapes';
import { foundationAdvice } from '../shapes/common/advice';
import type { WorkedThing } from '../craft/things';
import { mmToken } from '../base/units';
import type { WorkedOut } from './types';

/** All that there is to say of a plan worked out, the thing first, the fittings last. */
export function adviceOf(plan: Plan, { thing, fabric, built, placed }: WorkedOut): Advice[] {
  return [
    ...thing.advice,
    ...doubtGauge(plan.fabric, fabric),
    ...swatchAdvice(plan.fabric),
    ...fitness(plan.fabric, fabric, dutyOf(thing), (spec) => workFabric(spec, fabric.worked, thing.girth)),
    ...built.pieces.slice(0, 1).flatMap((piece) => foundationAdvice(piece.fabric, piece.foundation)),
    ...built.advice,
    ...placed.flatMap((p) => p.advice),
    ...conditionAdvice(built),
    ...collisions(placed),
  ];
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
