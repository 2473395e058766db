import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { handFrom } from '../../craft/fabric';
import { checkEvents } from '../../out/formats';
import type { Happening, KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { fabricMade, sizesMade } from './learnt';

const PLANS = Object.values(TERN_POINT.plans);
const plain = PLANS.filter(({ fabric }) => fabric.stitch === 'single' && !fabric.bands);

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const event = (n: number, what: Happening): KeptEvent => ({
  id: uuid(n),
  make: uuid(900),
  device: uuid(901),
  at: '2026-05-01T18:00:00.000Z',
  n,
  ...what,
});

/** Finished, everything so much larger than planned. */
const finished = (plan: Plan, by: number): KeptEvent[] => {
  const { width, height } = reckon(plan).outside;
  return [
    event(1, { kind: 'finished', asMade: { width: width.value * by, height: height.value * by }, fits: 'right' }),
  ];
};

it('sizes stand beside the planned ones, those that were not asked for without', () => {
  const [plan] = plain as [Plan];
  const worked = reckon(plan);
  const events = finished(plan, 1.04);
  expect(checkEvents(events).ok).toBe(true);
  const [width, height, girth] = sizesMade(worked, events);
  expect(width!.made! / width!.planned).toBeCloseTo(1.04, 6);
  expect(height!.made! / height!.planned).toBeCloseTo(1.04, 6);
  expect(girth).toEqual({ of: 'girth', planned: worked.inside.girth.value });
});

it('a make of which nothing was measured teaches nothing', () => {
  for (const plan of PLANS) {
    expect(fabricMade(plan, [])).toBeUndefined();
    expect(fabricMade(plan, [event(1, { kind: 'finished', note: 'for a friend' })])).toBeUndefined();
  }
});

it('the hand that is learnt lies where the makes do, and is surer of many than of one', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.85, max: 1.15, noNaN: true }), (tight) => {
      // estimated, so that what is learnt is the hand and not the swatch
      const makes = plain.slice(0, 4).map((plan) => ({ ...plan, fabric: { ...plan.fabric, gauge: {} } }));
      const fabrics = makes.map((plan) => fabricMade(plan, finished(plan, tight))!);
      const one = handFrom(fabrics.slice(0, 1))!;
      const many = handFrom(fabrics)!;
      expect(many.makes).toBe(makes.length);
      expect(many.spread).toBeLessThan(one.spread);
      // shrunk towards what is usual, and never past it
      const [least, most] = [Math.min(1, tight), Math.max(1, tight)];
      for (const { width } of [one, many]) {
        expect(width).toBeGreaterThan(least - 0.02);
        expect(width).toBeLessThan(most + 0.02);
      }
      expect(Math.abs(many.width - tight)).toBeLessThanOrEqual(Math.abs(one.width - tight) + 0.01);
    }),
    { numRuns: 20 },
  );
});

it('what the tape said on the way counts as well', () => {
  const [plan] = plain as [Plan];
  const { pieces, fabric } = reckon(plan);
  const measured = event(1, {
    kind: 'measured',
    piece: pieces[0]!.id,
    what: 'stitches',
    count: 10,
    mm: 10 * fabric.stitchWidth.value * 1.1,
    by: 'ruler',
    atStep: null,
  });
  const made = fabricMade(plan, [measured])!;
  const lists = [...(made.gauge!.stitches ?? []), ...(made.gauge!.roundStitches ?? [])];
  expect(lists).toEqual([{ count: 10, overMm: 10 * fabric.stitchWidth.value * 1.1, by: 'ruler', counted: 'edges' }]);
});

const caddy = PLANS.find(({ shape }) => shape.kind === 'saddle')!;

it('a caddy’s rounds are learnt from its own pockets, and from nothing else: how far it hangs down is the bar’s too', () => {
  const worked = reckon(caddy);
  expect(worked.pockets.map(({ name }) => name)).toEqual(['pocket in front', 'pocket behind']);
  const hung = event(1, { kind: 'finished', asMade: { height: worked.outside.height.value * 1.2 } });
  expect(fabricMade(caddy, [hung])).toBeUndefined();
  const pockets = worked.pockets.map(({ depth }, index) => (index === 0 ? depth.value * 1.1 : null));
  const told = event(1, { kind: 'finished', asMade: { height: worked.outside.height.value * 1.2 }, pockets });
  expect(checkEvents([told]).ok).toBe(true);
  const [front] = worked.pockets;
  expect(fabricMade(caddy, [told])!.gauge!.rounds).toEqual([
    {
      count: front!.courses,
      overMm: expect.closeTo(1.1 * front!.courses * worked.fabric.rowHeight.value, 6),
      by: 'tape',
      counted: 'edges',
    },
  ]);
});
