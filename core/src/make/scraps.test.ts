import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { stepsToMake, type KeptEvent } from './log';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { scrapOrder, scrapsTold } from './scraps';

const tote = Object.values(TERN_POINT.plans).find(({ title }) => title.includes('phone pouch'))!;
const plan: Plan = { ...tote, fittings: [] };
const { supplies, steps } = reckon(plan);
const all = supplies.yarn.grams.value;
const rows = stepsToMake(steps).filter(({ row, ends }) => row !== null && ends);
const scrapsOf = (shares: readonly number[]) =>
  shares.map((share, index) => ({ name: `s${index}`, grams: share * all }));

/** Ticked up to so many rows, then the scrap on the hook weighed. */
function weighedAfter(count: number, grams: number): KeptEvent[] {
  const made = stepsToMake(steps);
  const upTo = made.indexOf(rows[count - 1]!) + 1;
  const base = (n: number) => ({
    id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    make: 'm',
    device: 'd',
    at: '2026-12-01T20:00:00Z',
    n,
  });
  return [
    ...made
      .slice(0, upTo)
      .map((step, index): KeptEvent => ({ ...base(index + 1), kind: 'ticked', step: step.id, under: null })),
    { ...base(upTo + 1), kind: 'weighed', grams },
  ];
}

describe('scraps', () => {
  it('are worked the largest first', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 50, noNaN: true }), { minLength: 1, maxLength: 9 }), (grams) => {
        const order = scrapOrder(grams.map((one, index) => ({ name: `${index}`, grams: one })));
        expect(order.map((one) => one.grams)).toEqual([...grams].sort((a, b) => b - a));
      }),
    );
  });

  it('run out one after the other, each where its grams end', () => {
    const told = scrapsTold({ plan, scraps: scrapsOf([0.5, 0.3, 0.4]) });
    const [first, second, third] = told.scraps;
    const half = rows.findIndex(
      (_, index) =>
        rows.slice(0, index + 1).reduce((sum, { ends }) => sum + ends!, 0) >
        rows.reduce((sum, { ends }) => sum + ends!, 0) / 2,
    );
    expect(first!.runsOut!.row).toBe(rows[half]!.row);
    expect(second!.runsOut!.row).toBeGreaterThan(first!.runsOut!.row);
    // the further on, the less sure
    expect(second!.runsOut!.sd).toBeGreaterThan(first!.runsOut!.sd);
    expect(third!.runsOut).toBeNull();
    expect(third!.over).toBeGreaterThan(0);
    expect(third!.over).toBeLessThan(third!.grams);
    for (const { runsOut } of told.scraps)
      if (runsOut) expect(runsOut.stitch).toBeLessThanOrEqual(rows.find(({ row }) => row === runsOut.row)!.ends!);
  });

  it('last the more surely the more there is of them, and never as surely in more pieces', () => {
    const lasts = [0.6, 0.9, 1, 1.2, 1.6].map((share) => scrapsTold({ plan, scraps: scrapsOf([share]) }).lasts);
    expect(lasts).toEqual([...lasts].sort((a, b) => a - b));
    expect(lasts[2]).toBeCloseTo(0.5, 2);
    const inMany = scrapsTold({ plan, scraps: scrapsOf([0.25, 0.25, 0.25, 0.25]) });
    expect(inMany.lasts).toBeLessThan(lasts[2]!);
    expect(inMany.needs.value).toBeGreaterThan(all);
  });

  it('are planned anew from a weighing', () => {
    const scraps = scrapsOf([0.5, 0.3, 0.4]);
    const count = 20;
    const share =
      rows.slice(0, count).reduce((sum, { ends }) => sum + ends!, 0) / rows.reduce((sum, { ends }) => sum + ends!, 0);
    const before = scrapsTold({ plan, scraps });
    // as reckoned, a tenth more, a tenth less
    const rowAt = (use: number) =>
      scrapsTold({ plan, scraps, events: weighedAfter(count, scraps[0]!.grams - use * share * all) }).scraps[0]!
        .runsOut!;
    expect(Math.abs(rowAt(1).row - before.scraps[0]!.runsOut!.row)).toBeLessThanOrEqual(1);
    expect(rowAt(1).sd).toBeLessThan(before.scraps[0]!.runsOut!.sd);
    expect(rowAt(1.2).row).toBeLessThan(rowAt(1).row);
    expect(rowAt(0.85).row).toBeGreaterThan(rowAt(1).row);
  });

  it('a weighing of the second is taken as one', () => {
    const scraps = scrapsOf([0.3, 0.5, 0.4]);
    const count = Math.round(0.6 * rows.length);
    const told = scrapsTold({ plan, scraps, events: weighedAfter(count, 0.2 * all) });
    expect(told.scraps[1]!.runsOut!.row).toBeGreaterThan(rows[count]!.row!);
    expect(told.scraps[1]!.runsOut!.row).toBeLessThan(rows.length);
  });
});
