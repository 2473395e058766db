import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import type { Worked } from '../../reckon/types';

type Fittings = NonNullable<Plan['fittings']>;

const SLAB: Plan['thing'] = { kind: 'slab', width: { mm: 78 }, height: { mm: 160 }, depth: { mm: 9 } };
const BODY: Plan['carrier'] = {
  kind: 'body',
  loop: { mm: 900 },
  loopIs: 'edge-to-edge',
  hand: { mm: 200 },
};

const plan = (fittings: Fittings, more: Partial<Plan> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'x',
  thing: SLAB,
  carrier: BODY,
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
  shape: { kind: 'strip-across' },
  fit: { name: 'snug' },
  fittings,
  ...more,
});

const flapped = (fitting: Fittings[number], more: Partial<Plan> = {}) =>
  reckon(plan([{ kind: 'flap' }, fitting], more));
const step = ({ steps }: Worked, id: string) => steps.find((one) => one.id === id)!;
const figure = ({ fittings }: Worked, kind: string, key: string) =>
  fittings.find((fitting) => fitting.kind === kind)!.figures[key]!.value;

describe('a closure under the flap', () => {
  it('is moved where it is wanted, and refused where it would leave the front', () => {
    const moved = flapped({ kind: 'snap', inFromMm: 20 });
    expect(moved.fittings[1]!.place).toMatch(/^20 mm in from the left side/);
    const two = flapped({ kind: 'snap', at: 'corners', inFromMm: 25 });
    expect(two.fittings[1]!.place).toMatch(/25 mm in from each side/);
    expect(() => flapped({ kind: 'snap', inFromMm: 2 })).toThrow(/does not leave it on the front\. Make it 6 mm to/);
  });

  it('may be tape, or a hook and its eye', () => {
    expect(step(flapped({ kind: 'hook-and-loop' }), 'sew-hook-and-loop').text).toMatch(
      /sew the soft patch there .*the hooked one to the inside of the flap/i,
    );
    const hook = flapped({ kind: 'hook-and-eye' });
    expect(hook.supplies.notions).toContainEqual({ name: 'hook and eye', size: '9 mm', count: 1 });
  });
});

describe('a button on a flap', () => {
  it('and its loop are moved together', () => {
    const worked = flapped({ kind: 'button-loop', inFromMm: 24 });
    const row = worked.steps.find(({ text }) => text.includes('for the loop'))!;
    const [, before] = /in each of the next (\d+) stitches, chain/.exec(row.text)!;
    const width = worked.pieces[0]!.width.value;
    const pitch = width / worked.pieces[0]!.stitches;
    expect(Math.abs(Number(before) * pitch - 24)).toBeLessThanOrEqual(pitch);
    expect(step(worked, 'sew-button').text).toContain('24 mm in from the left side');
  });

  it('goes through a hole that is moved, or over an opening beside its middle', () => {
    const hole = flapped({ kind: 'buttonhole', inFromMm: 30 });
    const [, before] = /row \d+, (\d+) stitches, hole of/.exec(hole.fittings[1]!.place)!;
    const [middle] = /row \d+, \d+ stitches/.exec(flapped({ kind: 'buttonhole' }).fittings[1]!.place)!;
    expect(middle).not.toContain(` ${before} stitches`);
    expect(step(hole, 'sew-button').text).toContain('30 mm in from the left side');
    const mouth = reckon(plan([{ kind: 'mouth-loop', inFromMm: 25 }]));
    // it sits in the row that becomes the back’s edge
    expect(mouth.fittings[0]!.place).toContain('25 mm in from the left side of the back’s edge');
    const row = mouth.steps.filter((one) => one.row).at(-1)!;
    const [, sooner, after] = /next (\d+) stitches, chain \d+ for the loop .*next (\d+) stitches/
      .exec(row.text)!
      .map(Number);
    expect(sooner! * 2).toBeLessThan(after!);
    expect(() => reckon(plan([{ kind: 'mouth-loop', inFromMm: 500 }]))).toThrow(/does not leave it on the front/);
  });

  it('is held by elastic as long as the chain would be, and its ends besides', () => {
    const worked = flapped({ kind: 'elastic-loop' });
    // 2 (20 + 4) / 1.03 = 46.6, and 12 mm at either end
    expect(figure(worked, 'elastic-loop', 'cut')).toBeGreaterThan(60);
    expect(worked.supplies.notions.map(({ name }) => name)).toContain('elastic cord');
  });

  it('passes through an open fabric where its spaces let it, and nowhere else', () => {
    const clusters: Partial<Plan> = {
      fabric: { stitch: 'cluster', hookMm: 5, yarn: { metresPer100g: 190 } },
    };
    const through = flapped({ kind: 'shank-button', buttonMm: 11, buttonThicknessMm: 4 }, clusters);
    expect(through.supplies.notions).toContainEqual({ name: 'button on a shank', size: '11 mm', count: 1 });
    expect(through.advice.map(({ id }) => id)).not.toContain('button-too-large');
    const close = flapped({ kind: 'shank-button', buttonMm: 20 });
    expect(close.advice.find(({ id }) => id === 'button-too-large')!.text).toMatch(
      /does not pass through this fabric: its spaces let .* through/,
    );
  });
});

describe('a strap', () => {
  const strapped = (options: object, more: Partial<Plan> = {}) =>
    reckon(plan([{ kind: 'strap', strap: 'chain', ...options }], more));

  it('is as long as its ends ask, and held as they say', () => {
    const length = (ends: string) => figure(strapped({ ends }), 'strap', 'length');
    expect(length('sewn') - length('tied')).toBeCloseTo(50, 6);
    expect(length('hooks')).toBeCloseTo(length('sewn'), 6);
    expect(step(strapped({ ends: 'tied' }), 'sew-strap').text).toMatch(/pass the tails .* tie two knots/);
    const hooked = strapped({ ends: 'hooks' });
    expect(hooked.supplies.notions).toContainEqual({ name: 'swivel hooks', count: 2 });
    expect(() => strapped({ strap: 'cloth', ends: 'tails' })).toThrow(/It has no tails/);
  });

  it('is chained on from a last round, held opposite or so many stitches on, and covered on the way back', () => {
    const tube: Partial<Plan> = { shape: { kind: 'round-chain' } };
    const worked = strapped({ strap: 'worked-on' }, tube);
    const n = worked.pieces[0]!.roundCounts!.at(-1)!;
    const { text } = step(worked, 'make-strap');
    const [, chains] = /Chain (\d+), slip stitch in the stitch that lies (\d+) on from where it began/.exec(text)!;
    expect(text).toContain(`the stitch that lies ${n / 2} on from`);
    // its rounds lean: the fold has wandered from where they begin
    expect(text).toMatch(
      /^Lay it flat along its bottom and slip stitch on to the next fold, about \d+ stitches\. The strap/,
    );
    expect(text).toContain(`Single crochet in each of the next ${chains} chains`);
    expect(worked.steps.map(({ id }) => id)).not.toContain('sew-strap');
    const ids = worked.steps.map(({ id }) => id);
    expect(ids.indexOf('make-strap')).toBeLessThan(ids.indexOf('fasten-off-body'));
    expect(step(strapped({ strap: 'worked-on', apart: 5 }, tube), 'make-strap').text).toContain('lies 5 on from');
    expect(() => strapped({ strap: 'worked-on', apart: n }, tube)).toThrow(/comes round to it again/);
  });

  it('is chained from one side of a flat opening to the other', () => {
    const worked = strapped({ strap: 'worked-on' });
    const { text } = step(worked, 'make-strap');
    const [, chains] =
      /Join the yarn with a slip stitch to the top end of the right side edge. Chain (\d+), slip stitch in the top end of the left side edge/.exec(
        text,
      )!;
    expect(text).toContain(`Single crochet in each of the next ${chains} chains, slip stitch in the place it began at`);
    expect(text).toMatch(/Fasten off\.$/);
    expect(worked.supplies.yarn.metres.value).toBeGreaterThan(strapped({ strap: 'chain' }).supplies.yarn.metres.value);
    expect(() => strapped({ strap: 'worked-on', apart: 5 })).toThrow(/Only along a last round can 5 stitches/);
  });
});

it('a wrist loop is as long as the hand that goes through it', () => {
  // 200 mm round the knuckles, and 5 in 100
  const worked = reckon(plan([{ kind: 'wrist-loop' }]));
  expect(figure(worked, 'wrist-loop', 'length')).toBeCloseTo(210, 6);
  const { carrier: _none, ...handless } = plan([{ kind: 'wrist-loop' }]);
  expect(figure(reckon(handless), 'wrist-loop', 'length')).toBeCloseTo(215 * 1.05, 6);
});

describe('an ornament', () => {
  it('is worked where it is a flower, and warned of where it is a small part', () => {
    const flower = reckon(plan([{ kind: 'ornament' }]));
    expect(step(flower, 'sew-ornament').text).toMatch(/The flower:.*5 single crochet into the ring.*With its tail/);
    expect(flower.cautions.map(({ id }) => id)).not.toContain('small-parts');
    const bead = reckon(plan([{ kind: 'ornament', ornament: 'bead', acrossMm: 12 }]));
    expect(bead.cautions.map(({ id }) => id)).toContain('small-parts');
    expect(bead.supplies.notions).toContainEqual({ name: 'bead', size: '12 mm', count: 1 });
  });

  it('shows below a flap', () => {
    const worked = flapped({ kind: 'ornament' });
    const edge = figure(worked, 'flap', 'edgeBelowFrontTop');
    expect(figure(worked, 'ornament', 'below')).toBeGreaterThan(edge + 10);
  });

  it('stays on the front', () => {
    expect(() => reckon(plan([{ kind: 'ornament', belowMm: 900 }]))).toThrow(/does not leave it on the front/);
  });

  it('sits on the flap where that is asked, through the flap alone, and nowhere where there is none', () => {
    const worked = flapped({ kind: 'ornament', on: 'flap' });
    expect(step(worked, 'sew-ornament').text).toMatch(
      /on the flap, .* above its edge, in the middle, through the flap only/,
    );
    const drawn = worked.views.find(({ id }) => id === 'folded')!;
    const flap = drawn.parts.find((part) => part.type === 'cloth' && part.role === 'flap');
    const seat = drawn.parts.find((part) => part.type === 'button' && part.diameter === 20);
    expect(flap?.type === 'cloth' && seat?.type === 'button' && seat.y / flap.h).toBeCloseTo(0.5, 6);
    expect(() => flapped({ kind: 'ornament', on: 'flap', aboveMm: 300 })).toThrow(/does not leave it on the flap/);
    expect(() => reckon(plan([{ kind: 'ornament', on: 'flap' }]))).toThrow(/There is no flap/);
  });
});

it('a tassel hangs from a zip’s pull, where there is a zip', () => {
  const wide: Plan['thing'] = { ...SLAB, width: { mm: 120 } };
  const zipped = reckon(plan([{ kind: 'tassel', at: 'zip' }, { kind: 'zip' }], { thing: wide }));
  expect(step(zipped, 'make-tassel').text).toContain('through the hole of the zip’s pull');
  expect(() => reckon(plan([{ kind: 'tassel', at: 'zip' }]))).toThrow(/There is no zip/);
});
