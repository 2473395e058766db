import { chosen, prior } from '../../base/figure';
import { reckon } from '../../reckon/reckon';
import { chance } from '../../reckon/chance';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { baseSuits, strapReaches } from './wants';

const at = { g: 0, H: 0, D: 0, w: 5, h: 5, t: 2 };

it('a base suits a wall up to 15 in 100 larger or smaller than it lies flat, if its stitches do so too', () => {
  const want = (stitches: number, wall: number) =>
    baseSuits({ flat: () => 200, stitches: () => stitches, wall: () => wall }).met(at);
  expect([168, 172, 200, 228, 232].map((wall) => want(200, wall))).toEqual([false, true, true, true, false]);
  expect([168, 172, 200, 228, 232].map((own) => want(own, 200))).toEqual([false, true, true, true, false]);
});

it('a strap reaches that is a twentieth short, and 30 mm where that is more', () => {
  const want = strapReaches(900, 100, chosen(1000, 'mm', 'it'), prior(0.05, '1', 0.02, 'it'));
  const met = (loop: number, grows: number) => want.met({ ...at, loop, grows });
  expect(met(1045, 0.05)).toBe(true);
  expect(met(1093, 0.05)).toBe(true);
  expect(met(1106, 0.05)).toBe(false);
  expect(met(1093, 0)).toBe(false);
});

const bag = (shape: object, fabric: object = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'bag',
  thing: { kind: 'cylinder', height: { mm: 200 }, diameter: { mm: 90 } },
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, ...fabric },
  shape: { kind: 'disc-wall', ...shape },
  fit: { name: 'roomy' },
});

const swatch = (stitches: number, rows: number) => ({
  gauge: { stitches: [{ count: stitches, overMm: 100 }], rows: [{ count: rows, overMm: 100 }] },
});

it('a base that cups is told in the chance, and not where it is meant to', () => {
  // rounds too high for six more in each to lie flat
  const cups = bag({ each: 6, start: 6 }, swatch(20, 18));
  const { share, base, draws } = chance(cups, 2000);
  expect(base / draws).toBeGreaterThan(0.3);
  expect(chance({ ...cups, shape: { ...cups.shape, cupped: 'on-purpose' } } as Plan, 2000)).toMatchObject({ base: 0 });
  const flat = chance(bag({ each: 6, start: 6 }, swatch(20, 23)), 2000);
  expect(flat.base).toBeLessThan(base / 2);
  expect(flat.share).toBeGreaterThan(share);
  expect(reckon(cups).advice.length).toBeGreaterThan(0);
});
