import { TERN_POINT } from '../demo';
import type { Plan } from '../plan/plan';
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

describe('a check of a last round', () => {
  const BOTTLE: Plan['thing'] = {
    kind: 'cylinder',
    height: { mm: 200 },
    diameter: { mm: 70 },
    shoulderHeight: { mm: 130 },
    neckDiameter: { mm: 40 },
  };
  const looks = (shape: Plan['shape'], rounds: 'joined' | 'spiral', more: Partial<Plan> = {}) =>
    reckon({
      format: 'keep-snug.plan/1',
      title: 'flask',
      thing: BOTTLE,
      fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
      shape,
      fit: { name: 'snug' },
      schools: { rounds },
      ...more,
    }).steps.flatMap(({ check, section }) => (check ? [[section, check.look] as const] : []));
  const of = (list: ReturnType<typeof looks>, name: string) =>
    list.filter(([section]) => section === name).map(([, look]) => look);

  it('speaks of a joining slip stitch only where there is one', () => {
    expect(of(looks({ kind: 'disc-wall' }, 'joined'), 'wall')[0]).toContain('do not count a joining slip stitch');
    for (const [, look] of looks({ kind: 'disc-wall' }, 'spiral')) expect(look).not.toContain('joining');
  });

  it('calls a base flat that is to be, and lets the item in where it goes in', () => {
    expect(of(looks({ kind: 'disc-wall' }, 'joined'), 'base')[0]).toContain('The base lies flat');
    expect(of(looks({ kind: 'disc-wall', cupped: 'on-purpose' }, 'joined'), 'base')[0]).not.toContain('flat');
    const taken = looks({ kind: 'disc-wall', takeIn: 'shoulder' }, 'joined');
    expect(of(taken, 'wall')[0]).toContain('The item goes in');
    expect(of(taken, 'shoulder')[0]).not.toContain('goes in');
    const flat: Plan['thing'] = { kind: 'slab', width: { mm: 78 }, height: { mm: 160 }, depth: { mm: 9 } };
    for (const [, look] of looks({ kind: 'cluster-panels' }, 'joined', { thing: flat }))
      expect(look).not.toContain('goes in');
    const stopper = looks({ kind: 'disc-wall' }, 'joined', { fittings: [{ kind: 'drawstring' }, { kind: 'bobble' }] });
    expect(of(stopper, 'stopper').find((look) => look.includes('stitches'))).toMatch(
      /^\d+ stitches \(do not count a joining slip stitch\)\.$/,
    );
  });
});
