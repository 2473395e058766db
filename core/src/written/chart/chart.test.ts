import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { chartOf } from './chart';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

describe.each(PLANS)('the chart of %s', (_title, plan) => {
  const { steps, pieces } = reckon(plan);

  it('has every course of every piece, numbered, each with its signs, within its box', () => {
    for (const { id, rows } of pieces) {
      const chart = chartOf(steps, { piece: id, from: 1, to: rows })!;
      const first = steps.find((step) => step.piece === id && step.row !== null)!.row!;
      expect(chart.courses.map(({ row }) => row)).toEqual(
        Array.from({ length: rows - first + 1 }, (_row, index) => index + first),
      );
      const [x, y, w, h] = chart.box;
      for (const { signs } of chart.courses) {
        expect(signs.length).toBeGreaterThan(0);
        for (const sign of signs) {
          expect(sign.x).toBeGreaterThanOrEqual(x);
          expect(sign.x).toBeLessThanOrEqual(x + w);
          expect(sign.y).toBeGreaterThanOrEqual(y);
          expect(sign.y).toBeLessThanOrEqual(y + h);
          expect(sign.d).not.toMatch(/NaN|Infinity|undefined/);
        }
      }
      expect(new Set(chart.key.map((sign) => sign.id)).size).toBe(chart.key.length);
    }
  });

  it('has as many signs in a row of plain stitches as the row has stitches', () => {
    for (const step of steps) {
      if (!step.work || step.row === null) continue;
      if (!step.work.every((one) => ['work', 'turning-chain', 'join'].includes(one.do))) continue;
      const chart = chartOf(steps, { piece: step.piece, from: step.row, to: step.row })!;
      expect(chart.courses[0]!.signs).toHaveLength(step.ends!);
    }
  });
});

describe('numbers', () => {
  const phone = reckon(TERN_POINT.plans[Object.keys(TERN_POINT.plans)[0]!]!);
  const sides = (left: boolean) =>
    chartOf(phone.steps, { piece: 'body', from: 1, to: 4, left })!.courses.map(({ number }) => number.side);

  it('stand on the side a row is begun from, on the other for the left hand', () => {
    expect(sides(false)).toEqual(['right', 'left', 'right', 'left']);
    expect(sides(true)).toEqual(['left', 'right', 'left', 'right']);
  });

  it('of a piece that is not there are none', () => {
    expect(chartOf(phone.steps, { piece: 'nothing', from: 1, to: 4 })).toBeNull();
    expect(chartOf(phone.steps, { piece: 'body', from: 900, to: 904 })).toBeNull();
  });
});

it('rounds of a flat base lie about its middle, farther out each', () => {
  const bag = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'disc-wall')!;
  const { steps, pieces } = reckon(bag);
  const base = pieces[0]!.sections[0]!;
  const chart = chartOf(steps, { piece: pieces[0]!.id, from: 1, to: base.to })!;
  const out = chart.courses.map(({ signs }) => Math.hypot(signs[0]!.x, signs[0]!.y));
  expect(out).toEqual([...out].sort((a, b) => a - b));
  for (const { signs } of chart.courses) {
    const apart = signs.map(({ x, y }) => Math.hypot(x, y));
    expect(Math.max(...apart) - Math.min(...apart)).toBeLessThan(0.01);
  }
});
