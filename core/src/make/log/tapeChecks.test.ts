import { TERN_POINT } from '../../demo';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { stepsToMake } from './copies';
import { EVERY_MM, tapeChecks } from './tapeChecks';

const planOf = (title: string): Plan => Object.values(TERN_POINT.plans).find((plan) => plan.title.includes(title))!;
const checksOf = (plan: Plan) => {
  const { steps, pieces } = reckon(plan);
  const ringed = new Set(pieces.filter(({ foundation }) => foundation.kind === 'ring').map(({ id }) => id));
  return { checks: tapeChecks(stepsToMake(steps), ringed), steps: stepsToMake(steps), pieces };
};

describe('when the tape is laid on the work', () => {
  it('after the first course of a strip, across its stitches', () => {
    const { checks, pieces } = checksOf(planOf('Field phone'));
    expect(checks[0]).toMatchObject({ row: 1, because: 'first', what: 'width', count: pieces[0]!.stitches });
  });

  it('before each new section, up the rows that are there', () => {
    const { checks, pieces } = checksOf(planOf('Field phone'));
    const ends = pieces[0]!.sections.slice(0, -1).map(({ to }) => to);
    const sections = checks.filter(({ because }) => because === 'section');
    expect(sections.map(({ row }) => row)).toEqual(ends);
    for (const { what, count, row, before } of sections) {
      expect([what, count]).toEqual(['rows', row]);
      expect(before).toBeTruthy();
    }
  });

  it.each(Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const))(
    'never longer than so many mm and a course apart: %s',
    (_title, plan) => {
      const { checks, pieces, steps } = checksOf(plan);
      for (const { id, rows } of pieces) {
        const all = steps.filter(({ piece, row, copy }) => piece === id && row !== null && !copy);
        const tallest = Math.max(...all.map(({ heightMm }, at) => (heightMm ?? 0) - (all[at - 1]?.heightMm ?? 0)));
        const heights = checks.filter(({ piece }) => piece === id).map(({ mm }) => mm);
        const last = steps.filter(({ piece, row }) => piece === id && row === rows - 1)[0]?.heightMm ?? 0;
        const gaps = [...new Set([0, ...heights, last])].sort((a, b) => a - b);
        gaps.slice(1).forEach((mm, at) => expect(mm - gaps[at]!).toBeLessThan(EVERY_MM + 2 * tallest + 1e-6));
      }
    },
  );

  it('of a base in the round through its middle when it is done, and not after six stitches', () => {
    const { checks } = checksOf(planOf('Night watch'));
    expect(checks[0]).toMatchObject({ because: 'section', what: 'diameter' });
    expect(checks.every(({ row, piece }) => piece !== 'body' || row > 1)).toBe(true);
  });

  it('of both of two panels', () => {
    const { checks } = checksOf(planOf('hook wrap'));
    const firsts = checks.filter(({ because, piece }) => because === 'first' && piece === checks[0]!.piece);
    expect(firsts.length).toBe(2);
    expect(new Set(firsts.map(({ step }) => step)).size).toBe(2);
  });
});
