import { TERN_POINT } from '../demo';
import type { Plan } from '../plan/plan';
import { reckon } from './reckon';

it('gauges are of what is worked: the plan’s own stitch is unused where bands are all in others', () => {
  const fabric: Plan['fabric'] = { stitch: 'spike', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} };
  const told = (bands: Plan['fabric']['bands']) =>
    reckon({ ...Object.values(TERN_POINT.plans)[0]!, fittings: [], fabric: { ...fabric, bands } }).gauges.map(
      ({ stitch, unused = false }) => [stitch, unused],
    );
  expect(told([{ stitch: 'half-double', fill: true }])).toEqual([
    ['spike', true],
    ['half-double', false],
  ]);
  expect(told([])).toEqual([['spike', false]]);
});
