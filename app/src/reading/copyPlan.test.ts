import { TERN_POINT } from '@keep-snug/core/demo';
import { checkDocument } from '@keep-snug/core/formats';
import { nothingHere, samplesHere } from '@/fixtures/serverHas';
import { useLibrary } from '@/data/library';
import { copyPlan } from './copyPlan';

const [id, plan] = Object.entries(TERN_POINT.plans)[0]!;
const plans = () => useLibrary.getState().shelves.plans;

beforeEach(() => {
  nothingHere();
  samplesHere(['plans']);
});

it('is a plan of its own, and says that it is a copy', () => {
  const copy = copyPlan(plan);
  expect(plans()[copy]).toMatchObject({ revision: 0, dirty: true, body: { ...plan, title: `${plan.title} (copy)` } });
  useLibrary.getState().change('plans', copy, { ...plans()[copy]!.body, picks: { width: 17 } });
  expect(plans()[id]).toMatchObject({ dirty: false, body: plan });
});

it('has a title that no other has, and that fits', () => {
  const long = { ...plan, title: '💠'.repeat(60) };
  const copies = [plan, plan, long].map(copyPlan);
  const titles = copies.map((copy) => plans()[copy]!.body.title);
  expect(titles.slice(0, 2)).toEqual([`${plan.title} (copy)`, `${plan.title} (copy 2)`]);
  expect(checkDocument('plans', { ...plan, title: titles[2] })).toMatchObject({ ok: true });
});

it('a copy of what is being made has nothing worked yet', () => {
  const begun = [{ piece: 'body', runs: [{ courses: 4, stitches: 16, stitch: 'single', section: 'front' }] }];
  const copy = copyPlan({ ...plan, begun });
  expect(useLibrary.getState().shelves.plans[copy]!.body.begun).toBeUndefined();
});
