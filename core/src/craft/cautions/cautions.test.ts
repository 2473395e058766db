import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { CAUTIONS } from './index';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const phone = planOf('Field phone');
const idsOf = (plan: Plan) => reckon(plan).cautions.map(({ id }) => id);
const flap = { kind: 'flap' };

/** For each caution a plan it must be shown for, and one it must not. */
const CASES: Readonly<Record<string, readonly [shown: Plan, not: Plan]>> = {
  'cords-and-children': [planOf('flask'), phone],
  'small-parts': [phone, { ...phone, fittings: [flap] }],
  magnets: [{ ...phone, fittings: [flap, { kind: 'magnet' }] }, phone],
  'on-equipment': [planOf('caddy'), phone],
  bottles: [planOf('flask'), phone],
  points: [planOf('hook wrap'), phone],
  charging: [phone, planOf('notebook')],
  glue: [{ ...phone, fittings: [flap, { kind: 'tag' }] }, phone],
  'long-sittings': [planOf('notebook'), phone],
  'above-sleepers': [
    {
      ...planOf('Bunk rail'),
      carrier: { kind: 'bar', width: { mm: 90 }, dropFront: { mm: 20 }, dropBack: { mm: 20 } },
    },
    planOf('Bunk rail'),
  ],
};

it.each(CAUTIONS.map(({ id }) => [id]))('%s is shown where it applies, once, and not elsewhere', (id) => {
  const [shown, not] = CASES[id]!;
  expect(idsOf(shown).filter((one) => one === id)).toEqual([id]);
  expect(idsOf(not)).not.toContain(id);
});

it('one set aside is still there to be printed', () => {
  const aside = reckon({ ...phone, setAside: ['charging'] }).cautions;
  expect(aside.find(({ id }) => id === 'charging')).toMatchObject({ setAside: true });
  expect(aside.filter(({ setAside }) => setAside)).toHaveLength(1);
});

it('all are plain: no shouting, an id of its own each', () => {
  expect(new Set(CAUTIONS.map(({ id }) => id)).size).toBe(CAUTIONS.length);
  for (const { text } of CAUTIONS) expect(text).not.toMatch(/!|[A-Z]{4,}/);
});
