import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { faultsOf } from '../../demo/fixtures/faultsOf';
import { PlanProblem } from '../../base/figure';
import { checkPlan } from '../../out/formats';
import type { Plan } from '../plan';
import { reckon } from '../../reckon/reckon';
import { begunCourses, runsOf, type BegunSpec } from './index';
import { workOut } from '../../reckon/build';
import { allPieces } from '../../reckon/steps';

const PLANS = Object.values(TERN_POINT.plans);
const phone = PLANS.find(({ title }) => title === 'Field phone pouch')!;
const body = (plan: Plan) => workOut(plan).built.pieces[0]!;

const asBegun = (plan: Plan, courses: number, mm?: number): Plan => ({
  ...plan,
  begun: [{ piece: body(plan).id, runs: runsOf(body(plan), courses, mm) }],
});

function messagesOf(plan: Plan): string[] {
  try {
    workOut(plan);
    return [];
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    return error.errors.map(({ path, message }) => `${path}: ${message}`);
  }
}

it('a plan taken apart as far as it is worked, and put together, says the same', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PLANS), fc.nat(), fc.double({ min: 0, max: 1, noNaN: true }), (plan, at, share) => {
      const pieces = allPieces(workOut(plan));
      const piece = pieces[at % pieces.length]!;
      const courses = Math.max(1, Math.round(share * piece.rows));
      const begun: BegunSpec[] = [{ piece: piece.id, runs: runsOf(piece, courses) }];
      const next = { ...plan, begun };
      expect(checkPlan(next)).toMatchObject({ ok: true });
      expect(begunCourses(begun[0]!)).toBe(courses);
      expect(reckon(next).steps).toEqual(reckon(plan).steps);
      const again = allPieces(workOut(next)).find(({ id }) => id === piece.id)!;
      expect(runsOf(again, courses)).toEqual(begun[0]!.runs);
    }),
    { numRuns: 60 },
  );
});

describe('another count from the next course on', () => {
  const worked = 10;
  it.each([-5, -2, -1, 1, 2, 4])(
    '%d stitches: what is worked keeps its words, and every course can be worked',
    (by) => {
      const before = body(phone);
      const next = { ...asBegun(phone, worked), picks: { ...phone.picks, width: before.stitches + by } };
      const piece = body(next);
      expect(faultsOf(next)).toEqual([]);
      expect(piece.courses.at(-1)!.ends).toBe(before.stitches + by);
      expect(piece.courses.slice(0, worked).every(({ ends }) => ends === before.stitches)).toBe(true);
      // a row takes one at each edge
      const steps = piece.courses.map(({ ends }, index) => Math.abs(ends - (piece.courses[index - 1]?.ends ?? ends)));
      expect(Math.max(...steps)).toBeLessThanOrEqual(2);
      const textsOf = (plan: Plan) => reckon(plan).steps.filter(({ row }) => row !== null && row <= worked);
      expect(textsOf(next).map(({ text }) => text)).toEqual(textsOf(phone).map(({ text }) => text));
    },
  );

  it('a tube takes it in one round, evenly', () => {
    const tube = PLANS.find(({ shape }) => shape.kind === 'ring-tube')!;
    const n = body(tube).stitches;
    const next = { ...asBegun(tube, 8), picks: { ...tube.picks, round: n - 2 } };
    expect(faultsOf(next)).toEqual([]);
    expect(
      body(next)
        .courses.slice(6, 10)
        .map(({ ends }) => ends),
    ).toEqual([n, n, n - 2, n - 2]);
  });

  it('its tightest part holds what goes in', () => {
    const before = workOut(phone).built;
    const next = { ...asBegun(phone, worked), picks: { ...phone.picks, width: before.pieces[0]!.stitches + 4 } };
    expect(workOut(next).built.inside.girth.value).toBeCloseTo(before.inside.girth.value, 9);
  });

  it('of a base that grew to its count is refused, with what to do', () => {
    const round = PLANS.find(({ shape }) => shape.kind === 'disc-wall')!;
    const n = body(round).stitches;
    const next = { ...asBegun(round, 12), picks: { ...round.picks, round: n - 3 } };
    expect(messagesOf(next).join()).toMatch(
      /^begun\[0\]\.runs: Round \d+ of “Bag” is worked already .*pull it out to round \d+\.$/,
    );
  });
});

it('rows that the tape found taller leave fewer to come, and the whole is as high as it was to be', () => {
  const before = workOut(phone).built;
  const done = 20;
  const h = before.pieces[0]!.fabric.rowHeight.value;
  const after = workOut(asBegun(phone, done, done * h * 1.15)).built;
  expect(after.pieces[0]!.rows).toBeLessThan(before.pieces[0]!.rows);
  expect(Math.abs(after.inside.depth.value - before.inside.depth.value)).toBeLessThan(2 * h);
  expect(after.pieces[0]!.fabric.rowHeight.sd!).toBeLessThan(before.pieces[0]!.fabric.rowHeight.sd!);
});

it('what would undo worked courses is told with a way out', () => {
  const rows = body(phone).rows;
  const spec = {
    piece: 'body',
    runs: [{ courses: 4, stitches: body(phone).stitches, stitch: 'single', section: 'front' }],
  };
  const of = (begun: BegunSpec[]) => messagesOf({ ...phone, begun });
  expect(of([{ ...spec, piece: 'sleeve' }])).toEqual([
    expect.stringMatching(/^begun\[0\]\.piece: There is no piece “sleeve” in this plan\. It has: body/),
  ]);
  expect(of([{ ...spec, runs: [{ ...spec.runs[0]!, courses: rows + 3 }] }])).toEqual([
    expect.stringMatching(`${rows + 3} rows of “Strip” are worked already, and this plan has only ${rows}`),
  ]);
  expect(of([{ ...spec, runs: [{ ...spec.runs[0]!, stitch: 'double' }] }])).toEqual([
    expect.stringMatching(/Row 1 of “Strip” is worked already \(\d+ stitches, double crochet\)/),
  ]);
});

describe('columns between lines, on a piece that goes on on another count', () => {
  const tools: Plan = {
    ...phone,
    title: 'hooks',
    thing: {
      kind: 'tools',
      tools: [14, 11, 9].map((grip) => ({ length: { mm: 160 }, grip: { mm: grip } })),
    } as unknown as Plan['thing'],
    shape: { kind: 'strip-across' },
    fittings: [{ kind: 'dividers' }],
  };
  const begunOn = body(tools).stitches;

  it.each([-4, -2, 2, 6])('%d stitches: run the whole way down, and are counted where they are sewn', (by) => {
    const next: Plan = { ...asBegun(tools, 8), picks: { width: begunOn + by } };
    const { steps } = reckon(next);
    const [, ...told] = /between stitch (.*) of (\d+), counted/.exec(
      steps.find(({ id }) => id === 'sew-dividers')!.text,
    )!;
    const lines = [...told[0]!.matchAll(/(\d+) and/g)].map(([, at]) => Number(at));
    expect(Number(told[1])).toBe(begunOn);
    const narrow = Math.min(begunOn, begunOn + by);
    const before = (begunOn - narrow) / 2;
    for (const at of lines) {
      expect(at).toBeGreaterThan(before);
      expect(at).toBeLessThan(before + narrow);
    }
    const rooms = workOut(next).placed.flatMap(({ rooms: own }) => own ?? []);
    const { fabric } = workOut(next);
    const sample = { g: 1, H: 1, D: 1, h: 1, w: fabric.stitchWidth.value, t: fabric.thickness.value };
    const columns = rooms.reduce((sum, { inside }) => sum + (inside(sample) + Math.PI * sample.t) / 2 / sample.w, 0);
    // lines take a little of each
    expect(columns).toBeLessThanOrEqual(narrow);
    expect(columns).toBeGreaterThan(narrow - 2);
  });
});
