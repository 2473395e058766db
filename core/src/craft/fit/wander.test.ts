import fc from 'fast-check';
import { measured } from '../../base/figure';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { workOut } from '../../reckon/build';
import { chanceInputs } from '../../reckon/chanceInputs';
import { TENSION_WANDERS } from '../fabric';
import { chanceOfFit } from './chance';
import { fitDefinition, type FitName } from './fits';
import type { ChanceInputs } from './model';
import { narrowest, type Wander } from './wander';

const HIGH = 4.4;
const meanOf = (all: Float64Array) => all.reduce((sum, one) => sum + one, 0) / all.length;
const anyWander = fc.record({
  courses: fc.integer({ min: 1, max: 120 }),
  lies: fc.constantFrom<Wander['lies']>('round', 'folded', 'apart'),
});

describe('the narrowest 30 mm of a piece', () => {
  it('are hardly ever wider than its mean, and hardly ever narrower by four times what a course strays', () => {
    fc.assert(
      fc.property(anyWander, (wander) => {
        const all = narrowest(wander, HIGH);
        // its ends count in fewer windows than its middle
        expect(all.at(-1)!).toBeLessThan(TENSION_WANDERS / 4);
        expect(meanOf(all)).toBeLessThan(1e-9);
        expect(all[0]!).toBeGreaterThan(-4 * TENSION_WANDERS);
      }),
    );
  });

  it('are the mean itself where all of it is held at once', () => {
    expect(meanOf(narrowest({ courses: 6, lies: 'round' }, HIGH))).toBeCloseTo(0, 9);
  });

  it('are narrower of a higher piece, and less narrow where two layers make up for each other', () => {
    const of = (courses: number, lies: Wander['lies']) => meanOf(narrowest({ courses, lies }, HIGH));
    expect(of(60, 'round')).toBeLessThan(of(20, 'round'));
    expect(of(60, 'folded')).toBeGreaterThan(of(60, 'round'));
    expect(of(60, 'apart')).toBeGreaterThan(of(60, 'round'));
  });

  it('are the same whenever they are asked for', () => {
    expect([...narrowest({ courses: 35, lies: 'apart' }, HIGH)]).toEqual([
      ...narrowest({ courses: 35, lies: 'apart' }, HIGH + 0.01),
    ]);
  });
});

describe('the chance of a piece whose tension wanders', () => {
  const inputs = (inside: number, fit: FitName, wander?: Wander): ChanceInputs => ({
    model: { girth: ({ w }) => inside * w, depth: () => 105, stretch: 0.08, ...(wander ? { wander } : {}) },
    fit: fitDefinition(fit),
    figures: {
      g: measured(100, 'mm', 0, 'x'),
      H: measured(100, 'mm', 0, 'x'),
      D: measured(10, 'mm', 0, 'x'),
      w: measured(1, 'mm', 0.02, 'x'),
      h: measured(HIGH, 'mm', 0, 'x'),
      t: measured(3, 'mm', 0, 'x'),
    },
  });
  const tube: Wander = { courses: 50, lies: 'round' };

  it('is tight more often, and loose less', () => {
    const [even, wandering] = [chanceOfFit(inputs(100, 'snug'), 1), chanceOfFit(inputs(100, 'snug', tube), 1)];
    expect(wandering.tight).toBeGreaterThan(even.tight);
    expect(wandering.loose).toBeLessThan(even.loose);
    expect(wandering.ratio.mean).toBeLessThan(even.ratio.mean);
  });

  it('lets what slides use a quarter of the stretch at its narrowest', () => {
    expect(chanceOfFit(inputs(104, 'slides', tube), 1).window.from).toBeCloseTo(1 / 1.02, 9);
    expect(chanceOfFit(inputs(104, 'slides'), 1).window.from).toBe(1);
  });
});

describe('a bag of things that have no shape of their own', () => {
  const plan = (kind: 'loose' | 'slab'): Plan =>
    ({
      format: PLAN_FORMAT,
      title: 'tote',
      thing: { kind, width: { mm: 280 }, height: { mm: 300 }, ...(kind === 'slab' ? { depth: { mm: 10 } } : {}) },
      fabric: { stitch: 'single', hookMm: 5, yarn: { metresPer100g: 180 } },
      shape: { kind: 'round-chain' },
      fit: { name: 'roomy' },
      fittings: [],
    }) as unknown as Plan;

  it('gives way where it is narrow; a thing does not', () => {
    expect(chanceInputs(workOut(plan('loose'))).model.wander).toBeUndefined();
    expect(chanceInputs(workOut(plan('slab'))).model.wander?.lies).toBe('round');
  });
});
