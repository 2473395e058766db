import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import type { Cloth, CutPart } from '../drawing';
import { tintedGrounds } from '../drawing/drawn';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { reckon } from './reckon';
import { SHAPES } from '../shapes';
import { anyPlanOf } from '../shapes/fixtures/anyPlan';
import type { Worked } from './types';

const plans = Object.values(TERN_POINT.plans);
const named = (title: string): Plan => plans.find((plan) => plan.title.includes(title))!;
const ROSE = '#C9798B';
const palette = { rose: { hex: ROSE } };

const worked = (plan: Plan): Worked | undefined => {
  try {
    return reckon(plan);
  } catch (fault) {
    if (fault instanceof PlanProblem) return undefined;
    throw fault;
  }
};

const cloths = ({ views }: Worked): Cloth[] =>
  views.flatMap(({ parts }) => parts.filter((part): part is Cloth => part.type === 'cloth'));

describe.each(SHAPES.filter(({ offers = [] }) => offers.includes('round-mouth')).map(({ id }) => [id]))(
  'a top on %s',
  (shape) => {
    it.each([['handles'], ['drawstring']])('with %s is in its colour, and changes nothing else', (kind) => {
      fc.assert(
        fc.property(anyPlanOf(shape), (any) => {
          const { bands: _b, yarns: _y, ...fabric } = any.fabric;
          const plain: Plan = { ...any, fabric, fittings: [{ kind }], palette };
          const before = worked(plain);
          fc.pre(before !== undefined);
          const after = reckon({ ...plain, fittings: [{ kind, topColour: 'rose' }] });
          expect(after.fittings[0]!.hasTop).toBe(true);
          const { byColour, yarn } = after.supplies;
          const rose = byColour.find(({ name }) => name === 'rose')!;
          expect(rose.rows).toBeGreaterThan(0);
          expect(byColour.reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(yarn.metres.value, 6);
          expect(after.steps.filter(({ text }) => text.startsWith('With rose:'))).toHaveLength(1);
          expect(after.pieces.map(({ rows, stitches }) => [rows, stitches])).toEqual(
            before!.pieces.map(({ rows, stitches }) => [rows, stitches]),
          );
          expect(cloths(after).some(({ rows: { bands = [] } }) => bands.at(-1)?.hex === ROSE)).toBe(true);
          const cut = after.views.flatMap(({ parts }) => parts).find((part): part is CutPart => part.type === 'cut')!;
          expect([cut.rows[0]!.hex, cut.rows.at(-1)!.hex]).toEqual([ROSE, ROSE]);
        }),
        { numRuns: 15 },
      );
    });
  },
);

it('stays in its colour where the piece says another, and a border that goes on from it has it too', () => {
  const soap = named('soap bag');
  const plan: Plan = {
    ...soap,
    palette,
    fabric: { ...soap.fabric, pieceColours: { body: 'kelp' } },
    fittings: [{ kind: 'drawstring', topColour: 'rose' }, { kind: 'edging' }],
  };
  const after = reckon(plan);
  const [wall] = cloths(after).filter(({ role }) => role === 'wall');
  expect(wall!.rows.bands!.map(({ colour }) => colour)).toEqual(['kelp', 'rose']);
  const borders = after.views.flatMap(({ parts }) => parts.filter(({ type }) => type === 'border'));
  expect(borders.map(({ hex }) => hex)).toContain(ROSE);
  // the rose hangs there already: it is joined once, where the top begins
  const joined = (worked: Worked) => worked.steps.filter(({ text }) => text.startsWith('With rose:')).length;
  expect(joined(after)).toBe(1);
  const edged = { ...plan, fittings: [plan.fittings![0]!, { kind: 'edging', colour: 'rose' }] };
  expect(joined(reckon(edged))).toBe(1);
  const kelp = reckon({ ...plan, fittings: [plan.fittings![0]!, { kind: 'edging', colour: 'kelp' }] });
  expect(kelp.steps.find(({ id }) => id === 'work-edging')!.text).toMatch(/^Draw kelp through the loop/);
});

it('a twisted cord is in its colour, and takes of it what is cut for it', () => {
  const plan: Plan = {
    ...named('soap bag'),
    palette,
    fittings: [{ kind: 'drawstring', cord: 'twisted', colour: 'rose' }],
  };
  const after = reckon(plan);
  expect(after.fittings[0]!.canBeColoured).toBe(true);
  const cut = after.fittings[0]!.figures.cut!.value;
  expect(after.supplies.byColour.find(({ name }) => name === 'rose')!.metres).toBeGreaterThanOrEqual((2 * cut) / 1000);
  const cords = after.views.flatMap(({ parts }) =>
    parts.filter((part) => part.type === 'line' && part.kind === 'cord'),
  );
  for (const { hex } of cords) expect(hex).toBe(ROSE);
});

it('a floor and a shoulder in a yarn that repeats have its runs too', () => {
  const sling = named('flask sling');
  const { yarns: _y, bands: _b, ...fabric } = sling.fabric;
  const runs = [
    { name: 'sea', stitches: 5, hex: '#1F6783' },
    { name: 'oat', stitches: 9, hex: '#E6D8B8' },
  ];
  const drawn = cloths(reckon({ ...sling, fabric: { ...fabric, yarn: { ...fabric.yarn, runs } } }));
  for (const role of ['base', 'turn', 'wall']) {
    const cloth = drawn.find((one) => one.role === role)!;
    const hexes = new Set(tintedGrounds(cloth, 2).map(({ hex }) => hex));
    expect([...hexes].sort()).toEqual(['#1F6783', '#E6D8B8']);
  }
});
