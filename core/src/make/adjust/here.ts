import { seedOf } from '../../reckon/chance';
import { reckon } from '../../reckon/reckon';
import type { Plan } from '../../plan/plan';
import { workOf } from '../../reckon/steps';
import { workOut } from '../../reckon/build';
import type { Worked, WorkedOut } from '../../reckon/types';
import {
  foldMake,
  inOrder,
  lastDecision,
  standingEvents,
  stepsToMake,
  type KeptEvent,
  type MakeState,
  type MakingStep,
} from '../log';
import type { Measured, ReadAgainst } from './measures';
import { standingOf, type Standing } from './progress';
import { takesOf, type Takes } from './takes';

/** Where a make stands, and what it follows. */
export interface Here {
  followed: Plan;
  worked: Worked;
  state: MakeState;
  steps: readonly MakingStep[];
  before: WorkedOut;
  standing: Standing;
  takes: Takes;
  measures: readonly Measured[];
  seed: number;
}

/** All that is known of a make at the place it has come to. @throws PlanProblem where the plan followed cannot be reckoned */
export function hereOf(plan: Plan, events: readonly KeptEvent[]): Here {
  const followed = planFollowed(plan, events);
  const worked = reckon(followed);
  const before = workOut(followed);
  const steps = stepsToMake(worked.steps);
  const state = foldMake(events, steps);
  return {
    followed,
    worked,
    state,
    steps,
    before,
    standing: standingOf(steps, state),
    takes: takesOf(followed, before, worked),
    measures: measuresSince(inOrder(events)),
    seed: seedOf(plan),
  };
}

/** What is left before each piece to sew with, as the plan followed has it, mm: 0 of a usual end. */
export const leftBefore = ({ before }: Pick<Here, 'before'>): ReadonlyMap<string, number> =>
  new Map(workOf(before).flatMap((work) => (work.do === 'make' ? [[work.piece, work.leave ?? 0] as const] : [])));

/** The plan a make follows: that of the last decision that stands, else the one it was begun with. */
export const planFollowed = (plan: Plan, events: readonly KeptEvent[]): Plan =>
  lastDecision(inOrder(events))?.plan ?? plan;

/** What was measured since the last decision, whose plan has taken in what was measured before. */
function measuresSince(ordered: readonly KeptEvent[]): Measured[] {
  const standing = standingEvents(ordered);
  const decision = lastDecision(ordered);
  const since = decision ? standing.slice(standing.indexOf(decision) + 1) : standing;
  return since.filter((event): event is Measured & KeptEvent => event.kind === 'measured');
}

/** What its measures are read against. */
export const readAgainst = ({ worked, before }: Here): ReadAgainst => ({ steps: worked.steps, out: before });
