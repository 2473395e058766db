import { belongsOn, FITTINGS, type FittingSpec } from '../fittings';
import { PlanProblem } from '../base/figure';
import { FIRST_FABRIC } from '../plan/newPlan';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { STITCHES } from '../craft/fabric';
import { measuresOf, THINGS, type CarrierSpec, type ThingSpec } from '../craft/things';
import type { Field, FieldValue } from '../base/units';
import { TERN_POINT } from '../demo';
import { withFitting } from '../plan/withFitting';

/** Values a hand may put in the place of what stands there. */
function others(field: Field, now: FieldValue | undefined): FieldValue[] {
  switch (field.kind) {
    case 'choice':
      return field.options.map(({ id }) => id).filter((id) => id !== (now ?? field.default));
    case 'choices':
      return [
        field.options.slice(0, field.most).map(({ id }) => id),
        [field.options[0]!.id],
        field.options.slice(1).map(({ id }) => id),
      ];
    case 'text':
      return ['other words', ''];
    case 'number':
    case 'length': {
      const from = Number(now ?? field.default ?? field.min);
      const whole = field.kind === 'number' && field.whole;
      const steps = [1, -1, 7, -7, 23, from * 0.4, from, -from / 2, 200].map((step) => from + step);
      return [...steps, field.min, field.max]
        .map((value) => (whole ? Math.round(value) : value))
        .filter((value) => value >= field.min && value <= field.max && value !== from);
    }
  }
}

/** All that is told of a plan, or that it cannot be made and why. */
function told(plan: Plan): string {
  try {
    return JSON.stringify(reckon(plan));
  } catch (error) {
    if (error instanceof PlanProblem) return JSON.stringify(error.errors);
    throw error;
  }
}

const BODY: CarrierSpec = { kind: 'body', loop: { mm: 1100 }, loopIs: 'edge-to-edge' };
const PLANS = Object.values(TERN_POINT.plans);

/** With room to spare, and in loops that are left free: what some fittings ask for. */
const roomy = ({ picks: _picks, ...plan }: Plan): Plan => ({ ...plan, fit: { name: 'roomy', easePercent: 45 } });
/** Six more of whatever is counted across than is best. */
const wider = (plan: Plan): Plan => {
  const { choices } = reckon(plan);
  const picks = choices.map(({ id, options }) => [id, options.find(({ chosen }) => chosen)!.count + 6] as const);
  return { ...plan, picks: Object.fromEntries(picks.slice(0, 1)) };
};
const inBackLoops = ({ picks: _picks, ...plan }: Plan): Plan => ({
  ...plan,
  fabric: { ...FIRST_FABRIC, stitch: 'single-back-loop' },
});
/** What a round ends with shows where rounds end. */
const joined = (plan: Plan): Plan => ({ ...plan, schools: { ...plan.schools, rounds: 'joined' } });
const plansOf = (kind: string): Plan[] => PLANS.filter(({ shape }) => shape.kind === kind);

function* fieldsOf(): Generator<{
  name: string;
  plans: (bases: readonly Plan[]) => Plan[];
  put: (plan: Plan, value: FieldValue) => Plan;
  field: Field;
  now: (plan: Plan) => FieldValue | undefined;
}> {
  for (const shape of SHAPES)
    for (const field of shape.options)
      yield {
        name: `shape ${shape.id}: ${field.key}`,
        plans: () => plansOf(shape.id),
        field,
        now: (plan) => (plan.shape as never as Record<string, FieldValue>)[field.key],
        put: (plan, value) => ({ ...plan, shape: { ...plan.shape, [field.key]: value } }) as Plan,
      };
  for (const fitting of FITTINGS)
    for (const field of fitting.options)
      yield {
        name: `fitting ${fitting.id}: ${field.key}`,
        plans: (bases) =>
          bases.flatMap((plan) => {
            const shape = SHAPES.find(({ id }) => id === plan.shape.kind)!;
            if (!belongsOn(shape, fitting)) return [];
            if ((plan.fittings ?? []).some(({ kind }) => kind === fitting.id)) return plan;
            const more = withFitting(plan, fitting.id);
            try {
              reckon(more);
              return more;
            } catch {
              return [];
            }
          }),
        field,
        now: (plan) =>
          (plan.fittings!.find(({ kind }) => kind === fitting.id) as never as Record<string, FieldValue>)[field.key],
        put: (plan, value) => ({
          ...plan,
          fittings: plan.fittings!.map((one): FittingSpec =>
            one.kind === fitting.id ? { ...one, [field.key]: value } : one,
          ),
        }),
      };
  for (const stitch of STITCHES)
    for (const field of stitch.options)
      yield {
        name: `stitch ${stitch.id}: ${field.key}`,
        plans: () =>
          [
            ...PLANS.slice(0, 2),
            ...plansOf('disc-wall').slice(0, 1),
            ...plansOf('disc-wall').slice(0, 1).map(joined),
            ...plansOf('round-chain').slice(0, 1),
          ].map(
            (plan) =>
              ({
                ...plan,
                picks: {},
                fabric: {
                  ...FIRST_FABRIC,
                  stitch: stitch.id,
                  gauge: { stitches: [{ count: 20, overMm: 110 }], rows: [{ count: 20, overMm: 110 }] },
                },
              }) as Plan,
          ),
        field,
        now: (plan) => (plan.fabric.pattern ?? {})[field.key] as FieldValue | undefined,
        put: (plan, value) => ({
          ...plan,
          fabric: { ...plan.fabric, pattern: { ...plan.fabric.pattern, [field.key]: value } },
        }),
      };
}

const UNLIKE = () => [roomy, wider, inBackLoops].flatMap((work) => PLANS.map(work));

/** A field, and where it stands beside others of the same editor. */
type Standing = ReturnType<typeof fieldsOf> extends Generator<infer One> ? One : never;

const all = [...fieldsOf()];
const editorOf = ({ name }: Standing) => name.split(':')[0]!;

/** Whether a field changes what is told of any of some plans. */
const changes = ({ field, now, put }: Standing, plans: readonly Plan[]): boolean =>
  plans.some((plan) => {
    const before = told(plan);
    return others(field, now(plan)).some((value) => told(put(plan, value)) !== before);
  });

/** The same plans with the editor's other fields set otherwise, one at a time: what asks for something else is asked then. */
const set = (one: Standing, plans: readonly Plan[]): Plan[] =>
  all
    .filter((other) => editorOf(other) === editorOf(one) && other !== one)
    .flatMap(({ field, now, put }) =>
      plans.slice(0, 3).flatMap((plan) =>
        others(field, now(plan))
          .slice(0, 6)
          .map((value) => put(plan, value)),
      ),
    );

it.each([...new Set(all.map(editorOf))])('%s: every field that is shown changes something', (editor) => {
  const dead = all
    .filter((one) => editorOf(one) === editor)
    .filter((one) => {
      const own = one.plans(PLANS);
      if (changes(one, own) || changes(one, set(one, own))) return false;
      return !changes(one, one.plans(UNLIKE()));
    });
  expect(dead.map(({ name }) => name)).toEqual([]);
});

it.each(THINGS.map((thing) => [thing.id, thing] as const))(
  'thing %s: every measure that is asked changes something',
  (id, { measures, numbers = [] }) => {
    const own = PLANS.filter(({ thing }) => thing.kind === id);
    // what it weighs matters to what carries it
    const plans = [...own, ...own.map((plan) => ({ ...withFitting(plan, 'strap'), carrier: BODY }))];
    const dead = [...measures, ...numbers].filter(
      (field) =>
        !plans.some((plan) => {
          const before = told(plan);
          const now = (plan.thing[field.key] as { mm: number } | number | undefined) ?? undefined;
          const value = typeof now === 'object' ? now.mm : now;
          return others(field, value).some((next) => {
            const told2 = told({
              ...plan,
              thing: {
                ...plan.thing,
                [field.key]: field.kind === 'length' ? { mm: next as number } : next,
              } as ThingSpec,
            });
            return told2 !== before;
          });
        }),
    );
    expect(dead.map(({ key }) => key)).toEqual([]);
  },
);

it.each(['round', 'flat'] as const)('a %s bar: every measure that is asked changes something', (section) => {
  const caddy = PLANS.find(({ shape }) => shape.kind === 'saddle')!;
  const carrier: CarrierSpec = {
    kind: 'bar',
    section,
    diameter: { mm: 40 },
    width: { mm: 90 },
    thickness: { mm: 30 },
    dropFront: { mm: 110 },
    dropBack: { mm: 110 },
  };
  const before = told({ ...caddy, carrier });
  for (const { key, min, max } of measuresOf(carrier)) {
    const values = [min + 1, 60, 200, max];
    expect([key, values.some((mm) => told({ ...caddy, carrier: { ...carrier, [key]: { mm } } }) !== before)]).toEqual([
      key,
      true,
    ]);
  }
  const other = section === 'round' ? ['width', 'thickness'] : ['diameter'];
  expect(measuresOf(carrier).map(({ key }) => key)).not.toEqual(expect.arrayContaining(other));
});
