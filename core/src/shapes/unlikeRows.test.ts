import fc from 'fast-check';
import { attempted } from '../base/figure';
import { BASES, type BaseId, type Instruction } from '../craft/fabric';
import { workOut } from '../reckon/build';
import type { Plan } from '../plan/plan';

const anyStripe = fc.array(fc.constantFrom<BaseId>('single', 'half-double', 'double', 'treble'), {
  minLength: 2,
  maxLength: 5,
});
const SHAPES = ['strip-across', 'strip-along', 'packet', 'two-panels', 'ring-tube', 'round-chain', 'disc-wall'];

const planOf = (kind: string, rows: readonly BaseId[]): Plan => ({
  format: 'keep-snug.plan/1',
  title: 'striped',
  thing: { kind: 'slab', width: { mm: 80 }, height: { mm: 160 }, depth: { mm: 20 } },
  fabric: { stitch: 'stripes', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {}, pattern: { rows } },
  shape: { kind },
  fit: { name: 'snug' },
  fittings: [],
});

/** Which base stitch a course is worked in, but for the lower ones a spiral rises by. */
const stitchOf = (course: readonly Instruction[]): BaseId =>
  course.reduce<{ stitch: string; times: number }>(
    (most, one) => (one.do === 'work' && one.times > most.times ? one : most),
    { stitch: 'single', times: 0 },
  ).stitch as BaseId;

it('a piece of unlike courses is as high as all of them, one by one', () => {
  let told = 0;
  fc.assert(
    fc.property(fc.constantFrom(...SHAPES), anyStripe, (shape, stripe) => {
      const out = attempted(() => workOut(planOf(shape, stripe)));
      fc.pre(out !== undefined);
      told += 1;
      const [piece] = out!.built.pieces;
      const height = ({ rowHeight, roundHeight }: (typeof BASES)[BaseId]) =>
        piece!.worked === 'rounds' ? roundHeight : rowHeight;
      const { stitch, rowHeight } = out!.fabric;
      const mean = stitch.factors[piece!.worked === 'rounds' ? 'roundHeight' : 'rowHeight'];
      const wall = piece!.sections.find(({ name }) => name === 'wall');
      const courses = piece!.courses.slice(wall ? wall.from - 1 : 0);
      const sum = courses.reduce((all, { instructions }) => all + height(BASES[stitchOf(instructions)]), 0);
      const reached = piece!.reach(piece!.rows) - (wall ? piece!.reach(wall.from - 1) : 0);
      expect(reached).toBeCloseTo((sum / mean) * rowHeight.value, 6);
    }),
    { numRuns: 150 },
  );
  expect(told).toBeGreaterThan(60);
});

it('a strip along, and a packet, go round by the rows there are', () => {
  for (const kind of ['strip-along', 'packet']) {
    const striped = planOf(kind, ['single', 'single', 'treble']);
    const plan = kind === 'packet' ? { ...striped, shape: { kind, overlapMm: 40 } } : striped;
    const { built } = workOut(plan);
    const [piece] = built.pieces;
    const round = kind === 'packet' ? piece!.reach(piece!.rows) - 40 : 2 * piece!.reach(piece!.rows);
    const inside = round - Math.PI * piece!.fabric.thickness.value;
    expect(Math.abs(built.inside.girth.value - inside)).toBeLessThan(2 * piece!.fabric.rowHeight.value);
  }
});
