import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { checkPlan } from '../../out/formats';
import { reckon } from '../../reckon/reckon';
import { heldTogether, metresPer100g, yarnDiameter } from './yarn';

const KELP = { name: 'kelp', metresPer100g: 400 };
const SAND = { name: 'sand', metresPer100g: 200 };

const plan = (fabric: object): Plan =>
  ({
    format: PLAN_FORMAT,
    title: 'tote',
    thing: { kind: 'loose', width: { mm: 150 }, height: { mm: 180 } },
    fabric: { stitch: 'single', hookMm: 5, gauge: {}, ...fabric },
    shape: { kind: 'disc-wall' },
    fit: { name: 'snug' },
    fittings: [],
  }) as unknown as Plan;

describe('yarns held together', () => {
  it('weigh as much a metre as all of them, and are thicker than each', () => {
    const both = heldTogether([KELP, SAND]);
    expect(100 / metresPer100g(both)).toBeCloseTo(100 / 400 + 100 / 200, 9);
    for (const one of [KELP, SAND]) expect(yarnDiameter(both).value).toBeGreaterThan(yarnDiameter(one).value);
  });

  it('of one kind are its strands', () => {
    const strands = yarnDiameter({ ...KELP, strands: 3 }).value;
    expect(yarnDiameter(heldTogether([KELP, KELP, KELP])).value).toBeCloseTo(strands, 9);
    expect(yarnDiameter(heldTogether([{ ...KELP, strands: 2 }, KELP])).value).toBeCloseTo(strands, 9);
  });

  it('are said where the work begins, and each is counted', () => {
    const { steps, supplies } = reckon(plan({ yarns: [KELP, SAND] }));
    expect(steps[0]!.text).toMatch(/^With kelp and sand held together: Make a magic ring/);
    expect(steps.filter(({ text, note }) => /held together|Change to/.test(text + (note ?? '')))).toHaveLength(1);
    expect(supplies.byYarn.map(({ name }) => name)).toEqual(['kelp', 'sand']);
    for (const { metres } of supplies.byYarn) expect(metres).toBeCloseTo(supplies.yarn.metres.value, 6);
    const grams = supplies.byYarn.reduce((sum, one) => sum + one.grams, 0);
    expect(grams).toBeCloseTo(supplies.yarn.grams.value, 6);
  });

  it('last as long as the scarcest of them', () => {
    const enough = (kelp: number, sand: number) =>
      reckon(
        plan({
          yarns: [
            { ...KELP, gramsLeft: kelp },
            { ...SAND, gramsLeft: sand },
          ],
        }),
      ).supplies.yarn.enough!;
    expect(enough(1000, 1000)).toBeGreaterThan(0.99);
    expect(enough(1000, 1)).toBeLessThan(0.01);
    expect(enough(1, 1000)).toBeLessThan(0.01);
    expect(reckon(plan({ yarns: [KELP, SAND] })).supplies.yarn.enough).toBeNull();
  });

  it('stand in the place of one yarn: either, and not both', () => {
    expect(checkPlan(plan({ yarns: [KELP, SAND] })).ok).toBe(true);
    expect(checkPlan(plan({ yarn: KELP })).ok).toBe(true);
    for (const fabric of [{}, { yarn: KELP, yarns: [KELP, SAND] }, { yarns: [KELP] }])
      expect(checkPlan(plan(fabric)).ok).toBe(false);
  });
});
