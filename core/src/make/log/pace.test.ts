import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { reckon } from '../../reckon/reckon';
import { rowMinutes } from '../../reckon/supplies';
import { stepsToMake } from './copies';
import type { KeptEvent } from './events';
import { paceOf } from './pace';

const phone = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Field phone pouch')!;
const steps = stepsToMake(reckon(phone).steps);
const rows = steps.filter(({ row }) => row !== null);
const usual = (index: number) => rowMinutes(rows[index]!.work ?? []);
const START = Date.parse('2026-05-01T18:00:00.000Z');

/** Rows ticked, each so many minutes after the one before it. */
function ticked(gaps: readonly number[], device = 'd'): KeptEvent[] {
  let at = START;
  return [0, ...gaps].map((gap, index) => {
    at += gap * 60_000;
    return {
      id: `${device}${index}`,
      make: 'm',
      device,
      at: new Date(at).toISOString(),
      n: index + 1,
      kind: 'ticked',
      step: rows[index]!.id,
      under: null,
    };
  });
}

const steady = (factor: number, count: number) =>
  Array.from({ length: count }, (_, index) => factor * usual(index + 1));

it('of a steady hand is its own, the surer the more rows', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 2.5, noNaN: true }), fc.integer({ min: 10, max: 80 }), (factor, count) => {
      const pace = paceOf(steps, ticked(steady(factor, count)))!;
      expect(pace.seen).toBeCloseTo(factor, 4);
      // held towards the usual by how little one sitting tells
      const [low, high] = factor < 1 ? [factor, 1] : [1, factor];
      expect(pace.factor).toBeGreaterThanOrEqual(low - 1e-9);
      expect(pace.factor).toBeLessThanOrEqual(high + 1e-9);
      expect(pace.spread).toBeLessThan(0.3);
      expect(pace.spread).toBeLessThan(paceOf(steps, ticked(steady(factor, 2)))!.spread);
    }),
    { numRuns: 40 },
  );
});

it('forgives pauses, and sits down anew after each', () => {
  const gaps = steady(1.2, 30);
  gaps[9] = 55;
  gaps[19] = 600;
  const pace = paceOf(steps, ticked(gaps))!;
  expect(pace.sittings).toBe(3);
  expect(pace.seen).toBeCloseTo(1.2, 4);
  expect(pace.minutes).toBeLessThan(gaps.reduce((sum, gap) => sum + gap, 0) - 600);
});

it('rows ticked all at once share the time before them', () => {
  const gaps = steady(1, 20);
  // three rows worked, then ticked one after the other
  const late = [...gaps.slice(0, 10), gaps[10]! + gaps[11]! + gaps[12]! - 0.02, 0.01, 0.01, ...gaps.slice(13)];
  expect(paceOf(steps, ticked(late))!.seen).toBeCloseTo(1, 4);
});

it('compares no clocks: two devices are two logs', () => {
  const one = ticked(steady(1, 20), 'a');
  const other = ticked(steady(1, 20), 'b').map((event) => ({
    ...event,
    at: new Date(Date.parse(event.at) + 3e9).toISOString(),
  }));
  expect(paceOf(steps, [...one, ...other])!.seen).toBeCloseTo(1, 4);
});

it('says nothing of one row, or of what was ticked in haste', () => {
  expect(paceOf(steps, ticked([]))).toBeUndefined();
  expect(paceOf(steps, ticked([0.01, 0.01, 0.01]))).toBeUndefined();
});
