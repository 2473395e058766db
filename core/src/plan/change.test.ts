import { TERN_POINT } from '../demo';
import { applyChange } from './change';
import { reckon } from '../reckon/reckon';

const phone = Object.values(TERN_POINT.plans)[0]!;

it('sets entries by path, makes what is missing between, takes out what is undefined, and leaves the plan as it was', () => {
  const before = JSON.stringify(phone);
  const changed = applyChange(phone, { 'fabric.hookMm': 5, 'picks.width': 17, 'fittings[0].overlapMm': undefined });
  expect(changed.fabric.hookMm).toBe(5);
  expect(changed.picks).toEqual({ width: 17 });
  expect(changed.fittings![0]).toEqual({ kind: 'flap' });
  expect(JSON.stringify(phone)).toBe(before);
});

it('mends a foundation that puckers by a hook for the chain, and says so in the pattern', () => {
  const tight = {
    ...phone,
    fabric: { ...phone.fabric, gauge: { ...phone.fabric.gauge, chains: [{ count: 20, overMm: 95 }] } },
  };
  const advice = reckon(tight).advice.find(({ id }) => id === 'foundation-puckers')!;
  const mended = reckon(applyChange(tight, advice.change!));
  expect(mended.steps[0]!.text).toMatch(/Chain 17 with a 5.5 mm hook/);
  expect(mended.fabric.chain.value).toBeGreaterThan(reckon(tight).fabric.chain.value);
  expect(mended.supplies.notions.map(({ name }) => name)).toContain('hook for the chain');
});
