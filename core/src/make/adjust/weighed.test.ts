import fc from 'fast-check';
import { TERN_POINT } from '../../demo';
import { stepsToMake, type Happening, type KeptEvent } from '../log';
import type { Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { refereePiece } from '../../pattern/refereePiece';
import { lastingWays } from './mend';
import { workOut } from '../../reckon/build';
import { metresIn, takenBy, takesOf } from './takes';
import { yarnLeft } from './weighed';

const plan = Object.values(TERN_POINT.plans)[0]! as Plan;
const unknown: Plan = {
  ...plan,
  fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn!, gramsLeft: undefined } },
} as Plan;
const worked = reckon(plan);
const { value: metres } = worked.supplies.yarn.metres;
const each = worked.supplies.yarn.grams.value / metres;
const takes = takesOf(plan, workOut(plan), worked);

const event = (n: number, what: Happening): KeptEvent => ({
  id: `e${String(n).padStart(4, '0')}`,
  make: 'm',
  device: 'd',
  at: '2026-05-01T18:00:00.000Z',
  n,
  ...what,
});
const rows = worked.steps.filter(({ piece, row }) => piece === worked.pieces[0]!.id && row !== null);
const ticks = (from: number, to: number): KeptEvent[] =>
  rows.slice(from, to).map(({ id }, index) => event(100 + from + index, { kind: 'ticked', step: id, under: null }));
const weigh = (n: number, grams: number) => event(n, { kind: 'weighed', grams });
const foundation = takenBy(takes, ({ kind }) => kind === 'foundation');
/** Metres in the chain and so many rows. */
const rowsTake = (to: number) =>
  rows.slice(0, to).reduce((sum, { id }) => sum + metresIn(takes.each.get(id)!), metresIn(foundation));

it('says nothing where nothing was weighed', () => {
  expect(yarnLeft(plan, worked, ticks(0, 10))).toBeUndefined();
});

it('by one weighing alone goes by what the plan takes', () => {
  const whole = worked.supplies.yarn.grams.value;
  const left = yarnLeft(unknown, worked, [...ticks(0, 20), weigh(500, 2 * whole)])!;
  expect(left.lasts).toBeGreaterThan(0.99);
  expect(left.runsOut).toBeNull();
  expect(left.needs.value).toBeCloseTo(whole - each * rowsTake(20), 6);
  const little = yarnLeft(unknown, worked, [...ticks(0, 20), weigh(500, each * (rowsTake(30) - rowsTake(20)))])!;
  expect(little.lasts).toBeLessThan(0.05);
  expect(Math.abs(little.runsOut!.row - 30)).toBeLessThanOrEqual(1);
});

it('what the work took between two weighings outweighs the estimate, and more of it the more surely', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.75, max: 1.35, noNaN: true }), (more) => {
      const took = (to: number) => 60 - more * each * rowsTake(to);
      const after = (to: number) =>
        yarnLeft(unknown, worked, [weigh(99, 60), ...ticks(0, to), weigh(500, took(to))])!.needs;
      const [few, many] = [after(10), after(60)];
      const needed = (to: number) => more * each * (metres - rowsTake(to));
      const off = (needs: { value: number }, to: number) => Math.abs(needs.value / needed(to) - 1);
      expect(off(many, 60)).toBeLessThanOrEqual(off(few, 10) + 1e-9);
      expect(off(many, 60)).toBeLessThan(0.1);
      const spread = ({ value, sd }: { value: number; sd: number }) => sd / value;
      expect(spread(many)).toBeLessThan(spread(few));
    }),
  );
});

it('a ball that was changed for a fuller one tells how much there is, and no rate', () => {
  const left = yarnLeft(unknown, worked, [weigh(99, 5), ...ticks(0, 20), weigh(500, 50)])!;
  expect(left.needs.value).toBeCloseTo(each * (metres - rowsTake(20)), 6);
  // nor one of several in the box
  const one = yarnLeft(plan, worked, [...ticks(0, 20), weigh(500, 14)])!;
  expect(one.needs).toEqual(left.needs);
});

describe('where it does not last', () => {
  const events = [...ticks(0, 20), weigh(500, each * rowsTake(30))];
  const short = yarnLeft(unknown, worked, events)!;
  const { rowsShort } = short;
  const ways = lastingWays(unknown, events, { ...short, rowsShort: 6 });

  it('tells by how many rows it is short', () => {
    // there is yarn for 30 rows, and 66 are to come
    expect(rowsShort).toBeGreaterThan(30);
    expect(yarnLeft(unknown, worked, [...ticks(0, 20), weigh(500, 900)])!.rowsShort).toBe(0);
  });

  const begins = (name: string) => worked.pieces[0]!.sections.find((section) => section.name === name)!.from;
  const secondFrom = (plan: Plan) =>
    reckon(plan)
      .steps.filter(({ text }) => text.startsWith('With second yarn'))
      .map(({ row }) => row);

  it('the last part that begins before it runs out is begun in a second yarn, or the flap is some rows shorter', () => {
    expect(begins('back')).toBeLessThan(short.runsOut!.row);
    expect(ways.map(({ id, title, from }) => [id, title, from])).toEqual([
      ['second-yarn', 'Start the back in a second yarn', null],
      ['shorter-flap', 'Work the flap 6 rows shorter', null],
    ]);
    expect(secondFrom(ways[0]!.plan)).toEqual([begins('back')]);
    const shorter = reckon(ways[1]!.plan);
    expect(shorter.pieces[0]!.rows).toBe(worked.pieces[0]!.rows - 6);
    for (const way of ways) expect(refereePiece(reckon(way.plan).steps, 'body').faults).toEqual([]);
  });

  it('else it is the next row; and once it is taken, what there is suffices', () => {
    const late = [...ticks(0, 70), weigh(500, each * (rowsTake(76) - rowsTake(70)))];
    const left = yarnLeft(unknown, worked, late)!;
    expect(left.runsOut!.row).toBeGreaterThan(71);
    const [way] = lastingWays(unknown, late, left);
    expect(way!.title).toBe('Continue in a second yarn from the next row');
    expect(secondFrom(way!.plan)[0]).toBeLessThanOrEqual(left.runsOut!.row);
    const decided = event(600, { kind: 'decided', choice: way!.id, from: null, plan: way!.plan });
    const after = yarnLeft(way!.plan, reckon(way!.plan), [...late, decided])!;
    expect(after.runsOut).toBeNull();
    expect(after.needs.value).toBeLessThan(left.needs.value);
  });
});

describe('two panels in two colours', () => {
  const two: Plan = {
    ...unknown,
    shape: { kind: 'two-panels', edging: 2, edgingColour: 'sand' },
    fittings: [],
    fabric: {
      ...unknown.fabric,
      colours: [
        { name: 'slate', rows: 6 },
        { name: 'sand', rows: 2 },
      ],
    },
  };
  const made = reckon(two);
  const all = stepsToMake(made.steps);
  const tick = (ids: readonly string[]) =>
    ids.map((step, index) => event(index + 1, { kind: 'ticked', step, under: null }));
  const upTo = (id: string) => tick(all.slice(0, all.findIndex((step) => step.id === id) + 1).map((step) => step.id));
  const weighed = (grams: number, colour?: string) => [
    ...upTo('body-row-8'),
    event(900, { kind: 'weighed', grams, ...(colour ? { colour } : {}) }),
  ];

  it('the ball that is named is the one that was weighed; else the one on the hook', () => {
    expect(yarnLeft(two, made, weighed(9))!.colour).toBe('sand');
    expect(yarnLeft(two, made, weighed(9, 'slate'))!.colour).toBe('slate');
    expect(yarnLeft(two, made, weighed(9, 'lime'))!.colour).toBe('sand');
  });

  it('steps as hands go through them are told apart once: what is needed is the same', () => {
    const twice = { ...made, steps: stepsToMake(made.steps) };
    expect(stepsToMake(twice.steps)).toEqual(twice.steps);
    expect(yarnLeft(two, twice, weighed(9, 'slate'))).toEqual(yarnLeft(two, made, weighed(9, 'slate')));
  });

  it('it runs out in the second of them, and the stripe before that is where another ball begins', () => {
    const { needs } = yarnLeft(two, made, weighed(9, 'slate'))!;
    const { runsOut } = yarnLeft(two, made, weighed(0.6 * needs.value, 'slate'))!;
    expect(runsOut).toMatchObject({ piece: 'body', copy: 2, after: false });
    expect(runsOut!.stripe!.copy).toBe(2);
    expect(runsOut!.stripe!.row % 8).toBe(1);
    expect(runsOut!.stripe!.row).toBeLessThanOrEqual(runsOut!.row);
    // the border is in sand: what is short of it is short after the last row
    const sand = yarnLeft(two, made, weighed(9, 'sand'))!.needs.value;
    expect(yarnLeft(two, made, weighed(0.97 * sand, 'sand'))!.runsOut).toMatchObject({ after: true });
    expect(yarnLeft(two, made, weighed(0.97 * sand, 'sand'))!.runsOut!.stripe).toBeUndefined();
  });
});
