import { TERN_POINT } from '../demo';
import { reckon } from '../reckon/reckon';

const phone = Object.values(TERN_POINT.plans)[0]!;
const worked = reckon(phone);
const rows = worked.steps.filter(({ kind }) => kind === 'row');

describe('the steps of a strip', () => {
  it('begin with the chain, which includes what row 1 skips', () => {
    expect(worked.steps[0]).toMatchObject({ kind: 'foundation', ends: 17, text: expect.stringMatching(/^Chain 17\./) });
  });

  it('number the rows from 1 without a gap, right and wrong side in turn, each with the height it reaches', () => {
    expect(rows.map(({ row }) => row)).toEqual(rows.map((_, index) => index + 1));
    expect(rows.map(({ side }) => side).slice(0, 3)).toEqual(['right', 'wrong', 'right']);
    rows.forEach(({ heightMm, row }) => expect(heightMm).toBeCloseTo(row! * worked.fabric.rowHeight.value, 6));
    expect(rows.at(-1)!.heightMm).toBeCloseTo(worked.pieces[0]!.height.value, 6);
  });

  it('belong to the section their row lies in', () => {
    for (const { name, from, to } of worked.pieces[0]!.sections) {
      expect(rows.slice(from - 1, to).every(({ section }) => section === name)).toBe(true);
    }
  });

  it('turn after every row but the last', () => {
    expect(rows.slice(0, -1).every(({ text }) => text.endsWith('Turn.'))).toBe(true);
    expect(rows.at(-1)!.text).not.toMatch(/Turn/);
  });

  it('have ids of their own', () => {
    expect(new Set(worked.steps.map(({ id }) => id)).size).toBe(worked.steps.length);
  });

  it('mark the folds when they are reached', () => {
    const marked = rows.filter(({ note }) => note).map(({ row }) => row);
    expect(marked).toEqual(worked.pieces[0]!.sections.slice(0, 2).map(({ to }) => to));
  });

  it('check the count and the width after row 1, the rows at each boundary, and one layer at the button', () => {
    expect(rows[0]!.check!.look).toMatch(/16 stitches.*about 94 mm wide/);
    const checked = rows.filter(({ check }) => check).map(({ row }) => row);
    expect(checked).toEqual([1, ...worked.pieces[0]!.sections.map(({ to }) => to)]);
    expect(worked.steps.find(({ id }) => id === 'sew-button')!.check!.look).toMatch(/not through the back/);
    expect(worked.steps.find(({ id }) => id === 'fold')!.check!.look).toMatch(/does the front cover it/);
  });

  it('never mix terms', () => {
    const words = (terms: 'US' | 'UK') =>
      reckon({ ...phone, schools: { terms } })
        .steps.flatMap(({ text, check }) => [text, check?.look, check?.repair])
        .join(' ');
    expect(words('US')).not.toMatch(/double crochet|\bmiss\b|tension/i);
    expect(words('UK')).not.toMatch(/single crochet|\bskip\b|gauge/i);
  });
});
