import fc from 'fast-check';
import { applyChange } from '../plan/change';
import { attempt, type PlanFault } from '../base/figure';
import { checkPlan } from '../out/formats';
import { FITTINGS } from '../fittings';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { workOut } from '../reckon/build';
import { SHAPES } from '../shapes';
import { anyPlanOf } from '../shapes/fixtures/anyPlan';
import type { Field } from '../base/units';

/** Numbers that are typed by mistake, or to see what happens. */
const STRAYS = [1, 3, 15, 40, 90, 400];

/** A plan with each of its numbers typed otherwise, as far as its form takes that. */
function strayed(plan: Plan): Plan[] {
  const numbers = (fields: readonly Field[]) => fields.filter(({ kind }) => kind === 'number' || kind === 'length');
  const ofShape = numbers(SHAPES.find(({ id }) => id === plan.shape.kind)!.options).map(({ key }) => `shape.${key}`);
  const ofFittings = (plan.fittings ?? []).flatMap(({ kind }, index) =>
    numbers(FITTINGS.find(({ id }) => id === kind)!.options).map(({ key }) => `fittings[${index}].${key}`),
  );
  return [...ofShape, ...ofFittings]
    .flatMap((path) => STRAYS.map((stray) => applyChange(plan, { [path]: stray })))
    .filter((one) => checkPlan(one).ok);
}

/** What a refusal says would do, as a number for the entry it stands at; lengths are told in mm here. */
const LIMIT = /(?:Use|Make it|It takes|Type) (\d+(?:\.\d+)?)(?: mm)? or (?:more|longer|fewer|less)/;

const limitOf = ({ message }: PlanFault): number | undefined => {
  const [, number] = LIMIT.exec(message) ?? [];
  return number === undefined ? undefined : Number(number);
};

const faultsOf = (plan: Plan): readonly PlanFault[] => {
  const tried = attempt(() => workOut(plan));
  return tried.ok ? [] : tried.faults;
};

const inKind = ({ message }: PlanFault): string => message.replace(/[\d.]+/g, '#');

it.each(SHAPES.map(({ id }) => [id]))('%s: a number that a refusal names is taken', (shape) => {
  for (const plan of fc.sample(anyPlanOf(shape), { numRuns: 30, seed: 11 }))
    for (const stray of strayed(plan))
      for (const fault of faultsOf(stray)) {
        const limit = limitOf(fault);
        if (limit === undefined) continue;
        const left = faultsOf(applyChange(stray, { [fault.path]: limit })).filter(({ path }) => path === fault.path);
        expect([fault.message, left.filter((one) => inKind(one) === inKind(fault))]).toEqual([fault.message, []]);
      }
});

it('some refusals name a number, or nothing was tried', () => {
  const all = SHAPES.flatMap(({ id }) => fc.sample(anyPlanOf(id), { numRuns: 30, seed: 11 }).flatMap(strayed));
  expect(all.flatMap(faultsOf).filter((fault) => limitOf(fault) !== undefined).length).toBeGreaterThan(100);
});

it.each(SHAPES.map(({ id }) => [id]))(
  '%s: a change that is offered is worked, and ends what it was offered for',
  (shape) => {
    for (const plan of fc.sample(anyPlanOf(shape), { numRuns: 60, seed: 7 })) {
      const reckoned = attempt(() => reckon(plan));
      if (!reckoned.ok) continue;
      for (const { id, at, change, repair } of reckoned.value.advice) {
        if (!change) continue;
        const next = applyChange(plan, change);
        expect([id, checkPlan(next).ok]).toEqual([id, true]);
        const after = attempt(() => reckon(next));
        expect([id, repair, after.ok ? [] : after.faults]).toEqual([id, repair, []]);
        const left = after.ok ? after.value.advice.filter((one) => one.id === id && one.at === at) : [];
        expect([id, repair, left.map(({ text }) => text)]).toEqual([id, repair, []]);
      }
    }
  },
);
