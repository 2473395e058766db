import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { PlanProblem } from '../base/figure';
import { placesOf, refereeRow, type WorkedPlace } from '../pattern/referee';
import type { Plan } from '../plan/plan';
import { practicePlan } from '../plan/practicePlan';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { writtenPattern, type WrittenPattern } from './pattern';
import { readShort } from './short';
import { patternText } from './text';
import type { Worked } from '../reckon/types';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const READS = { terms: 'US', units: 'mm' } as const;
const written = (plan: Plan, worked: Worked, voice: 'full' | 'short') =>
  writtenPattern(plan, worked, { ...READS, voice });
const linesOf = ({ sections }: WrittenPattern) => sections.flatMap(({ lines }) => lines);

const anyPlan: fc.Arbitrary<Plan> = fc
  .constantFrom(...SHAPES.map(({ id }) => id))
  .chain(anyPlanOf)
  .map((plan) => ({ ...plan, schools: { ...plan.schools, ...READS } }));

describe.each(PLANS)('the written pattern of %s', (_title, plan) => {
  const own = { ...plan, schools: { ...plan.schools, ...READS } };
  const worked = reckon(own);

  it('counts every row or round of every piece once, in order', () => {
    for (const piece of worked.pieces) {
      const ids = new Set(worked.steps.filter((step) => step.piece === piece.id).map(({ id }) => id));
      const rows = linesOf(written(own, worked, 'full')).flatMap(({ id, rows: span }) =>
        span && ids.has(id) ? Array.from({ length: span.to - span.from + 1 }, (_row, index) => span.from + index) : [],
      );
      expect(rows).toEqual(Array.from({ length: piece.rows }, (_row, index) => index + 1));
    }
  });

  it('has the same lines, row numbers and counts in both voices', () => {
    const numbers = (text: string | null) => (text ?? '').match(/\d+/g) ?? [];
    const [full, short] = (['full', 'short'] as const).map((voice) => linesOf(written(own, worked, voice)));
    expect(short!.map(({ rows }) => rows)).toEqual(full!.map(({ rows }) => rows));
    expect(short!.map(({ count }) => numbers(count))).toEqual(full!.map(({ count }) => numbers(count)));
  });

  it('lists just the abbreviations it uses, and spells out its special stitches', () => {
    const pattern = written(own, worked, 'short');
    const text = linesOf(pattern)
      .map((line) => `${line.label} ${line.text} ${line.note ?? ''} ${line.count ?? ''}`)
      .concat(pattern.special.map((one) => one.text))
      .join('\n');
    for (const { short } of pattern.abbreviations)
      expect(text.toLowerCase()).toMatch(new RegExp(`(?<![\\w-])${short.toLowerCase()}(?![\\w-])`));
    for (const { text: steps } of pattern.special) expect(steps.length).toBeGreaterThan(20);
  });

  it('is whole in plain text: terms, size, materials, every line, check and caution', () => {
    const pattern = written(own, worked, 'full');
    const text = patternText(pattern);
    expect(text.startsWith(`${plan.title}\nWritten in US crochet terms`)).toBe(true);
    for (const line of linesOf(pattern)) expect(text).toContain(line.text);
    for (const { check } of worked.steps) if (check) expect(text).toContain(check.look);
    for (const name of ['Level', 'Finished size', 'Fits', 'Yarn', 'Hook', 'Notions', 'Gauge'])
      expect(text).toContain(`\n${name}: `);
    expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
  });
});

/** Works a short pattern line by line, as it is printed: repeated rows by the number they name. */
function workedFromPrint(worked: Worked, pattern: WrittenPattern): number {
  const steps = new Map(worked.steps.map((step) => [step.id, step]));
  const told = new Map<string, string>();
  let there: WorkedPlace[] = [];
  let rows = 0;
  for (const { id, text, rows: span } of linesOf(pattern)) {
    const step = steps.get(id)!;
    if (step.makes) there = placesOf(step.makes.count, step.makes.kind);
    if (step.makes || !span || !step.work) continue;
    const body = text.slice(step.lead.length);
    const again = /^Rep (?:Row|Rnd) (\d+)\.( Do not turn(?: yet)?\.)?$/.exec(body);
    const repeated = again && told.get(`${step.piece} ${again[1]!}`)!;
    const printed = repeated ? (again[2] ? repeated.replace(', turn.', '.') : repeated) : body;
    told.set(`${step.piece} ${span.from}`, printed);
    const at = worked.steps.indexOf(step);
    for (const row of worked.steps.slice(at, at + span.to - span.from + 1)) {
      const below = row.turned ? [...there].reverse() : there;
      const ruled = refereeRow(readShort(printed, READS, below), below);
      if (!ruled.ok) throw new Error(`${row.id}: ${ruled.fault}`);
      expect(ruled.made).toBe(row.ends);
      there = ruled.places;
      rows += 1;
    }
  }
  return rows;
}

it('works out to the counts it claims when it is read off the page, row by row', () => {
  let rows = 0;
  fc.assert(
    fc.property(anyPlan, (plan) => {
      const worked = reckonOrRefuse(plan);
      if (worked instanceof PlanProblem || plan.schools?.ring === 'two-chains') return;
      rows += workedFromPrint(worked, written(plan, worked, 'short'));
    }),
    { numRuns: 150 },
  );
  expect(rows).toBeGreaterThan(500);
});

it('the last row of a piece, not turned, is told by the number of those before it', () => {
  const pliers = PLANS.map(([, plan]) => plan).find(({ fabric }) => fabric.stitch === 'wrapped-half-double')!;
  for (const voice of ['full', 'short'] as const) {
    const lines = linesOf(written(pliers, reckon(pliers), voice));
    const last = lines.filter(({ text }) => text.endsWith('2. Do not turn.'));
    expect(last.length).toBeGreaterThan(2);
    expect(last.every(({ rows }) => rows!.from === rows!.to)).toBe(true);
  }
});

it('rows of a colour are one run, begun by its name, and repeated by number', () => {
  const striped = PLANS.map(([, plan]) => plan).find(({ fabric }) => (fabric.colours?.length ?? 0) > 1)!;
  const own = { ...striped, schools: { ...striped.schools, ...READS } };
  const lines = linesOf(written(own, reckon(own), 'full'));
  const sand = lines.find(({ text }) => text.startsWith('With sand: '))!;
  expect(sand.rows!.to).toBeGreaterThan(sand.rows!.from);
  expect(sand.text).toMatch(/^With sand: Repeat round \d+\.$/);
  expect(lines.filter(({ note }) => note?.startsWith('Change to sand')).length).toBeGreaterThan(0);
});

it.each([
  ['Field phone pouch', 'Easy: joining'],
  ['Chart loupe sleeve', 'Easy: rounds and joining'],
  ['Wash house soap bag', 'Intermediate: shaping'],
  ['Storm-day hook wrap', 'Intermediate: special stitches'],
])('%s is as hard as the hardest that is used in it, and it is said since what: %s', (title, level) => {
  const plan = Object.values(TERN_POINT.plans).find((one) => one.title === title)!;
  const { facts } = writtenPattern(plan, reckon(plan), { terms: 'US', units: 'mm', voice: 'full' });
  expect(facts.find(({ name }) => name === 'Level')!.text).toBe(level);
});

it('a plan of one stitch in rows with nothing joined is for beginners', () => {
  const plan = practicePlan(Object.values(TERN_POINT.plans)[0]!.fabric, 'Trial');
  const { facts } = writtenPattern(plan, reckon(plan), { terms: 'US', units: 'mm', voice: 'full' });
  expect(facts.find(({ name }) => name === 'Level')!.text).toBe('Beginner: chains and one stitch');
});

it('tells the colours of a yarn that repeats, in their order, with what they are together', () => {
  const plan = Object.values(TERN_POINT.plans)[0]!;
  const runs = [
    { name: 'kelp', stitches: 14 },
    { name: 'sand', stitches: 12 },
  ];
  const repeating = { ...plan, fabric: { ...plan.fabric, yarn: { ...plan.fabric.yarn!, runs } } };
  const { facts } = writtenPattern(repeating, reckon(repeating), { terms: 'US', units: 'mm', voice: 'full' });
  expect(facts.find(({ name }) => name === 'Colours as they come')!.text).toBe(
    'kelp 14 stitches and sand 12 stitches; 26 stitches in all, then again',
  );
});

it('a flat piece that is edged in rounds is no piece in rounds', () => {
  const levelOf = (title: string) => {
    const plan = Object.values(TERN_POINT.plans).find((one) => one.title === title)!;
    const { facts } = writtenPattern(plan, reckon(plan), { ...READS, voice: 'full' });
    return facts.find(({ name }) => name === 'Level')!.text;
  };
  expect(levelOf('Storm-day hook wrap')).not.toContain('rounds');
  expect(levelOf('Chart loupe sleeve')).toContain('rounds');
});
