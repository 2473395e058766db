import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';

const COUNTS = { turningChainCounts: true } as const;

function rowsOf(fabric: object, more: Partial<Plan> = {}): string[] {
  const { steps } = reckon({
    format: PLAN_FORMAT,
    title: 'phone',
    thing: { kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } },
    fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, ...fabric },
    shape: { kind: 'strip-across' },
    fit: { name: 'snug' },
    fittings: [],
    schools: COUNTS,
    ...more,
  });
  return steps.filter(({ row }) => row).map(({ text }) => text);
}

const TOP = /top of the turning chain/;
const striped = (...rows: string[]) => ({ stitch: 'stripes', pattern: { rows } });

describe('a row over another', () => {
  it('ends in the chain below where that counts, and only there', () => {
    const rows = rowsOf(striped('double', 'single'));
    // singles over doubles end in their chain; doubles over singles have none to end in
    expect(rows.slice(1, 5).map((text) => TOP.test(text))).toEqual([true, false, true, false]);
    expect(rows[1]).toMatch(/^Chain 1, single crochet in each of the next \d+ stitches and in the top of/);
    expect(rows[2]).toMatch(
      /^Chain 3 \(counts as a stitch\), skip 1 stitch, double crochet in each of the next \d+ st/,
    );
  });

  it('has no chain to end in over foundation stitches', () => {
    const doubles = { stitch: 'double' };
    const on = (foundation: 'chain' | 'stitches') => rowsOf(doubles, { schools: { ...COUNTS, foundation } });
    expect(
      on('stitches')
        .slice(1, 3)
        .map((text) => TOP.test(text)),
    ).toEqual([false, true]);
    expect(TOP.test(on('chain')[1]!)).toBe(true);
  });

  it('has none over a band whose chains are no stitch', () => {
    const bands = [
      { stitch: 'crossed-double', courses: 2 },
      { stitch: 'double', fill: true },
    ];
    expect(
      rowsOf({ stitch: 'double', bands })
        .slice(1, 4)
        .map((text) => TOP.test(text)),
    ).toEqual([false, false, true]);
  });

  it('keeps its own stitch and chain where a buttonhole is left in it', () => {
    const fittings = [{ kind: 'flap' }, { kind: 'buttonhole', buttonMm: 15 }];
    const rows = rowsOf(striped('double', 'half-double', 'single'), { fittings });
    const at = rows.findIndex((text) => /chain \d, skip \d stitches/.test(text));
    const stitches = ['double', 'half double', 'single'];
    for (const row of [at, at + 1]) {
      expect(rows[row]).toContain(`${stitches[row % 3]!} crochet in each`);
      for (const other of stitches)
        if (other !== stitches[row % 3]) expect(rows[row]).not.toMatch(new RegExp(`(?<!half )${other} crochet`));
    }
  });
});
