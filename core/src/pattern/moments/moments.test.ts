import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const notes = (plan: Plan) => reckon(plan).steps.flatMap(({ note, row }) => (note ? [{ row, note }] : []));

it('says at the first course of Vs that they settle, and of other stitches nothing', () => {
  const gift = planOf('gift pouch');
  const first = reckon(gift).steps.find(({ text }) => text.includes('(double crochet, chain 1, double crochet)'))!;
  expect(notes(gift).filter(({ note }) => note.includes('settles'))).toEqual([
    { row: first.row, note: expect.stringContaining('curls at first') },
  ]);
  expect(notes(planOf('Field phone')).some(({ note }) => note.includes('settles'))).toBe(false);
});

it('says once of a growing base when its right side is to be outside, and not of one that is meant to cup', () => {
  const sling = planOf('flask sling');
  const said = notes(sling).filter(({ note }) => note.includes('right side outside'));
  expect(said).toHaveLength(1);
  const { steps } = reckon(sling);
  expect(steps.find(({ row, piece }) => row === said[0]!.row && piece === 'body')!.ends).toBeGreaterThanOrEqual(30);
  const cupped: Plan = { ...sling, shape: { ...sling.shape, cupped: 'on-purpose' } };
  expect(notes(cupped).some(({ note }) => note.includes('right side outside'))).toBe(false);
});
