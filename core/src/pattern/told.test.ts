import { TERN_POINT } from '../demo';
import { reckon } from '../reckon/reckon';
import type { Plan } from '../plan/plan';

const PHONE_POUCH = Object.values(TERN_POINT.plans)[0]!;

const steps = (more: Partial<Plan>) => reckon({ ...PHONE_POUCH, ...more }).steps;
const textOf = (more: Partial<Plan>, id: string) => steps(more).find((step) => step.id === id)!.text;

describe('stripes', () => {
  const colours = [
    { name: 'sand', rows: 4 },
    { name: 'kelp', rows: 2 },
  ];
  const striped = { fabric: { ...PHONE_POUCH.fabric, colours } };

  it('begin with the first colour, and every change is told where it happens', () => {
    expect(textOf(striped, 'body-foundation')).toMatch(/^With sand: Chain/);
    const rows = steps(striped).filter(({ kind }) => kind === 'row');
    rows.forEach(({ text, note, row }, index) => {
      const at = (row! - 1) % 6;
      const isLast = index === rows.length - 1;
      expect([row, text.startsWith('With '), /Change to/.test(note ?? '')]).toEqual([
        row,
        row! > 1 && (at === 0 || at === 4),
        !isLast && (at === 3 || at === 5),
      ]);
    });
    expect(rows[3]!.note).toBe('Change to kelp in the last pull-through of this row.');
  });

  it('are not spoken of where there is one yarn', () => {
    expect(
      steps({}).some(({ text, note }) =>
        /^With (?!the (right side|outside|front) )|Change to/.test(text + (note ?? '')),
      ),
    ).toBe(false);
  });

  it('change on the join of a joined round', () => {
    const tube = { ...striped, shape: { kind: 'ring-tube' }, fittings: [], schools: { rounds: 'joined' as const } };
    expect(steps(tube).find(({ row }) => row === 4)!.note).toMatch(/Change to kelp on the joining slip stitch\./);
  });
});

describe('what is made for a fitting', () => {
  const bar = { carrier: { kind: 'bar' as const, diameter: { mm: 40 }, dropFront: { mm: 60 }, dropBack: { mm: 60 } } };

  it('has a tab’s buttonhole in its rows, is fastened off, and is made as often as it is needed', () => {
    const tabbed = { ...bar, fittings: [{ kind: 'tabs' }] };
    const rows = steps(tabbed).filter(({ piece, kind }) => piece === 'tab' && kind === 'row');
    const hole = rows.at(-3)!;
    expect(hole.text).toMatch(/, chain (\d+), skip \1 stitches, /);
    expect(rows.at(-2)!.text).toMatch(/ chains, single crochet in /);
    expect(textOf(tabbed, 'fasten-off-tab')).toBe('Fasten off.');
    expect(textOf(tabbed, 'more-tab')).toBe('Make a second one in the same way.');
    expect(textOf(tabbed, 'sew-tabs')).not.toMatch(/hole/);
  });

  it('hangs a tassel where it is wanted, and refuses a flap’s edge that is not there', () => {
    const tassel = (at: string, fittings: object[] = []) =>
      ({ fittings: [...fittings, { kind: 'tassel', at }] }) as Partial<Plan>;
    expect(textOf(tassel('corner'), 'make-tassel')).toMatch(/Sew it to the bottom right corner\.$/);
    expect(textOf(tassel('flap', [{ kind: 'flap' }]), 'make-tassel')).toMatch(/middle of the flap’s edge\.$/);
    expect(() => steps(tassel('flap'))).toThrow(/needs a flap/);
  });
});

it('row ends shared out say how, in words that come to just as many', () => {
  expect(textOf({}, 'join-sides')).toMatch(
    /\d+ single crochet along \d+ row ends \(\[1 in each of the next \d+, skip 1\] \d+ times, 1 in each of the last \d+\)/,
  );
});

it('a button on a strip worked sideways is placed by stitches down and rows across', () => {
  const plan = { shape: { kind: 'strip-along' }, fittings: [{ kind: 'flap' }, { kind: 'button-loop' }] };
  const { pieces } = reckon({ ...PHONE_POUCH, ...plan });
  const text = textOf(plan, 'sew-button');
  const [, stitch] = /about stitch (\d+), (?:on row|between rows) /.exec(text)!.map(Number);
  expect(stitch).toBeLessThan(pieces[0]!.sections[0]!.stitches);
});

describe('rows along an edge', () => {
  const ended = (endRows: number) =>
    reckon({
      format: 'keep-snug.plan/1',
      title: 'phone',
      thing: { kind: 'slab', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } },
      fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
      shape: { kind: 'strip-along', endRows },
      fit: { name: 'snug' },
      fittings: [{ kind: 'flap' }],
    }).steps.find(({ id }) => id === 'end-rows')!;

  it('are rows, gone back along, and not rounds', () => {
    expect(ended(1).text).not.toMatch(/Row 1|Round/);
    expect(ended(3).text).toMatch(/Row 1: .*Turn\. Row 2: .*Turn\. Row 3: /);
  });
});

describe('what hangs has a colour', () => {
  const toned = (shape: object, fittings: Plan['fittings'] = []) =>
    reckon({
      ...Object.values(TERN_POINT.plans)[0]!,
      fittings,
      shape: { kind: 'strip-across', ...shape },
    } as Plan);

  it.each([{ kind: 'strip-across' }, { kind: 'packet' }, { kind: 'two-panels' }])(
    'an edging in another is drawn through the loop it goes on from, and its yarn is that colour’s: %j',
    (shape) => {
      const plain = toned({ ...shape, edging: 2 });
      const lime = toned({ ...shape, edging: 2, edgingColour: 'lime' });
      const text = (worked: typeof plain) => worked.steps.find(({ id }) => id === 'edging')!.text;
      expect(text(lime)).toMatch(
        /^Draw lime through the loop on the hook, and cut the yarn it was of\. (Turn\. )?Round 1: Chain 1/,
      );
      expect(text(plain)).not.toMatch(/through the loop on the hook/);
      expect(plain.supplies.byColour).toEqual([]);
      const needs = Object.fromEntries(lime.supplies.byColour.map(({ name, metres }) => [name, metres]));
      expect(needs.lime).toBeGreaterThan(1);
      expect(Object.values(needs).reduce((sum, one) => sum + one, 0)).toBeCloseTo(lime.supplies.yarn.metres.value, 6);
    },
  );

  it('a tie that goes on from a last round in another is no longer worked in the first one’s', () => {
    const tote = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'ring-tube')!;
    const { steps } = reckon({
      ...tote,
      fittings: [{ kind: 'edging' }, { kind: 'mouth-loop', colour: 'honey' }],
    });
    const loop = steps.find(({ id }) => id === 'work-mouth-loop')!;
    expect(loop.text).toMatch(/^Draw honey through the loop on the hook/);
    // chained before the yarn is cut, not joined on anew
    const ids = steps.map(({ id }) => id);
    expect(ids.indexOf('work-mouth-loop')).toBeLessThan(ids.indexOf('fasten-off-body'));
    expect(loop.text).not.toMatch(/Join the yarn/);
  });

  it('goes on in its own again after another’s', () => {
    const tote = Object.values(TERN_POINT.plans).find(({ shape }) => shape.kind === 'round-chain')!;
    const kelp = { kind: 'edging', colour: 'honey' };
    const { steps } = reckon({
      ...tote,
      fabric: { ...tote.fabric, colours: [], bands: [] },
      fittings: [kelp, { kind: 'hanging-loop', at: 'on' }],
    });
    const [edging, loop] = ['work-edging', 'work-hanging-loop'].map((id) => steps.find((step) => step.id === id)!.text);
    expect(edging).toMatch(/^Draw honey through the loop/);
    expect(loop).toMatch(/^Draw (?!honey).+ through the loop/);
  });
});
