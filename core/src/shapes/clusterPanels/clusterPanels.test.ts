import { refereePiece } from '../../pattern/refereePiece';
import type { Border } from '../../piece';
import { PLAN_FORMAT, type Plan } from '../../plan/plan';
import { reckon } from '../../reckon/reckon';
import { clusterRound } from './courses';
import type { Worked } from '../../reckon/types';
import { workOut } from '../../reckon/build';

const PHONE: Plan['thing'] = { kind: 'slab', width: { mm: 78 }, height: { mm: 160 }, depth: { mm: 9 } };

function pouch(shape: object = {}, fittings: Plan['fittings'] = [], thing: Plan['thing'] = PHONE): Plan {
  return {
    format: PLAN_FORMAT,
    title: 'pouch',
    thing,
    fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 } },
    shape: { kind: 'cluster-panels', ...shape },
    fit: { name: 'roomy' },
    fittings,
  };
}

const FLAP: Plan['fittings'] = [{ kind: 'flap', overlapMm: 50 }, { kind: 'button-loop' }];

const textsOf = ({ steps }: Worked, piece: string) => steps.filter((step) => step.piece === piece && step.row);

const joinOf = (plan: Plan): Border =>
  workOut(plan)
    .built.assembly.flatMap(({ does = [] }) => does)
    .find((work): work is Border => work.do === 'border')!;

it('solves rounds for the width and the strip for the height, the back longer by turn and flap', () => {
  const { pieces } = reckon(pouch({}, FLAP));
  const [front, back] = pieces;
  expect(front!.width.value).toBeCloseTo(back!.width.value, 6);
  expect(back!.height.value).toBeGreaterThan(front!.height.value + 40);
  const c = (front!.foundation.count - 4) / 3;
  expect(front!.roundCounts!.at(-1)).toBe(clusterRound('chain', c, front!.rows - 1));
});

it('has the double at the end of its strip in its length: as many stitches as the row is told to end on', () => {
  const worked = reckon(pouch());
  const { terms } = worked.pieces[0]!.height.workings!;
  const [many, pitch, end] = ['many', 'pitch', 'end'].map((name) => terms.find((term) => term.name === name)!.value);
  const [row] = textsOf(worked, 'front');
  expect(many! * pitch! + end!).toBeCloseTo((row!.ends! * pitch!) / 3, 6);
});

it.each([
  ['chain', true],
  ['ring', false],
] as const)('begins its rounds where the strip from a %s ends, turned back along its row: %s', (strip, turned) => {
  const worked = reckon(pouch({ strip }));
  expect(refereePiece(worked.steps, 'front').faults).toEqual([]);
  const rows = textsOf(worked, 'front');
  const first = rows.find(({ kind }) => kind === 'round')!;
  const before = rows[rows.indexOf(first) - 1]!;
  // a hook that is not turned goes on down the ends of rows, a turned one back along the row
  expect([first.turned, /Turn\.$/.test(before.text)]).toEqual([turned, turned]);
  expect([before.side, first.side]).toEqual([turned ? 'wrong' : 'right', 'right']);
  expect(rows.every(({ counted }) => /^\d+ groups of 3( and 1 stitch)?$/.test(counted!))).toBe(true);
});

it('has a gap after the last group of a row, where the round about it works', () => {
  const [row, round] = textsOf(reckon(pouch()), 'front');
  expect(row!.text).toMatch(/, double crochet in the next chain\. Turn\.$/);
  const c = Number(/^(\d+) groups of 3 and 1 stitch$/.exec(row!.counted!)![1]);
  expect(round!.text).toMatch(
    /^Chain 2, skip 1 stitch, 3 double crochet in the gap before each of the next \d+ groups/,
  );
  expect(round!.counted).toBe(`${2 * (c + 2)} groups of 3`);
});

it('works two groups a row from a ring, and around them one in every second row end', () => {
  const worked = reckon(pouch({ strip: 'ring' }));
  const rows = textsOf(worked, 'front');
  const strip = rows.filter(({ section }) => section === 'strip');
  const m = strip.length;
  expect(m % 2).toBe(1);
  expect(rows[0]!.text).toContain('(3 double crochet, chain 1, 3 double crochet) into the ring');
  expect(worked.steps[0]!.text).toContain(`close the ring after round ${m + 1}`);
  expect(strip.every(({ counted }) => counted === '2 groups of 3')).toBe(true);
  const around = rows.slice(m);
  expect(around[0]!.text.match(/skip 1 row end/g)!.length).toBeGreaterThan(1);
  expect(around.map(({ counted }) => counted)).toEqual(
    around.map((_round, index) => `${m + 3 + 4 * (index + 1)} groups of 3`),
  );
});

it('joins by singles through both layers, 2 in each corner, and goes on around the flap with its loop', () => {
  const join = joinOf(pouch({}, FLAP));
  expect(join.closed).toBe(true);
  expect(join.path.filter(({ corner }) => corner).map(({ into }) => into)).toEqual([2, 2, 2, 2]);
  const layers = join.path.map(({ spans }) => spans.length);
  expect(layers).toEqual([2, 2, 2, 2, 2, 1, 1, 1, 1, 1]);
  expect(join.path.filter(({ loop }) => loop).map(({ lies }) => lies)).toEqual([{ line: 'the flap’s end' }]);
  const alike = joinOf(pouch());
  expect([alike.closed, alike.path.length]).toEqual([false, 5]);
});

it('is edged in slip stitches too, a finer step than a round of single', () => {
  const girth = (shape: object) => reckon(pouch(shape)).inside.girth!.value;
  const [none, slip, single] = [{ edging: 0 }, { edging: 1, edgingOf: 'slip' }, { edging: 1 }].map((shape) => {
    const worked = reckon({ ...pouch(shape), picks: { width: 2 } } as Plan);
    return worked.inside.girth!.value;
  }) as [number, number, number];
  expect(slip - none).toBeGreaterThan(0);
  expect(slip - none).toBeLessThan(0.5 * (single - none));
  expect(Number.isFinite(girth({ edging: 2, edgingOf: 'slip' }))).toBe(true);
  const edging = textsOf(reckon(pouch({ edging: 2, edgingOf: 'slip' })), 'front').concat(
    reckon(pouch({ edging: 2, edgingOf: 'slip' })).steps.filter(({ id }) => id === 'edging-front'),
  );
  expect(edging.at(-1)!.text).toMatch(/Round 2: Slip stitch/);
});

it('has its colours by part, told where they change', () => {
  const worked = reckon(pouch({ stripColour: 'kelp', lastColour: 'sand' }));
  const rows = textsOf(worked, 'front');
  expect(worked.steps[0]!.text).toMatch(/^With kelp: /);
  expect(rows[0]!.note).toMatch(/Change to the main colour/);
  expect(rows.at(-1)!.text).toMatch(/^With sand: /);
  expect(worked.supplies.byColour.map(({ name }) => name).sort()).toEqual(['kelp', 'sand', 'the main colour']);
  const two = reckon(pouch({ secondColour: 'kelp' }));
  expect(two.supplies.byColour.map(({ name }) => name)).toContain('kelp');
});

it('proposes rounds of single around them, else a smaller hook, where whole rounds miss the width, and tells of what is wider than tall', () => {
  const advised = (plan: Plan) => reckon(plan).advice;
  const widths = Array.from({ length: 24 }, (_, index) => 60 + index);
  const steps = widths.flatMap((mm) => {
    const plan = pouch({}, [], { kind: 'slab', width: { mm }, height: { mm: 160 }, depth: { mm: 9 } });
    return advised(plan).filter(({ id }) => id === 'cluster-step');
  });
  const changed = steps.filter(({ change }) => change);
  expect(changed.length).toBeGreaterThan(0);
  expect(changed.length).toBeLessThan(widths.length);
  for (const { change, repair } of changed) {
    if (change!['fabric.hookMm'] === undefined) {
      expect(repair).toMatch(
        /^Work \d rounds? of groups and [1-4] of edging around each rectangle(, (the last of them|that one) of slip stitches)?: they come to within about \d+ mm/,
      );
      continue;
    }
    expect(change!['fabric.hookMm']).toBeLessThan(4);
    expect(repair).toMatch(/^With a 3?2?[.\d]+ mm hook \d+ rounds? come to within about \d+ mm/);
  }
  const flat = advised(pouch({}, [], { kind: 'slab', width: { mm: 150 }, height: { mm: 80 }, depth: { mm: 12 } }));
  expect(flat.find(({ id }) => id === 'clusters-too-tall')!.text).toMatch(/at least .* long; .* would do/);
  expect(advised(pouch()).map(({ id }) => id)).not.toContain('clusters-too-tall');
});

it.each(['chain', 'ring'])('is edged before it is joined, from a %s: a finer step than a round of groups', (strip) => {
  const bare = workOut(pouch({ strip }, FLAP));
  const edged = workOut(pouch({ strip, edging: 2, edgingColour: 'lime' }, FLAP));
  const rounds = (out: typeof bare) => out.built.choices[0]!.options.find(({ chosen }) => chosen)!;
  const h = edged.fabric.also('single', 'rounds').rowHeight.value;
  const [now, then] = [rounds(bare), rounds(edged)];
  expect(then.mm - then.count * 2 * edged.built.pieces[0]!.fabric.rowHeight.value).toBeCloseTo(
    now.mm - now.count * 2 * bare.built.pieces[0]!.fabric.rowHeight.value + 4 * h,
    6,
  );
  const { steps, supplies, outside } = reckon(pouch({ strip, edging: 2, edgingColour: 'lime' }, FLAP));
  const ids = steps.map(({ id }) => id);
  expect(ids.indexOf('edging-front')).toBeLessThan(ids.indexOf('fasten-off-front'));
  expect(ids).toContain('edging-back');
  expect(supplies.byColour.map(({ name }) => name)).toContain('lime');
  expect(outside.width.value).toBeCloseTo(edged.built.pieces[0]!.width.value + 4 * h, 6);
  // the join goes along what edges them
  const border = steps.find(({ id }) => id === 'join-panels')!;
  const { side } = edged.built.pieces[0]!.rectangle!;
  expect(border.text).toContain(`down the left side: single crochet in each of the next ${side + 4} stitches`);
});

it('brings a flap down in front of what is wider than tall as well', () => {
  const wide: Plan['thing'] = { kind: 'slab', width: { mm: 150 }, height: { mm: 80 }, depth: { mm: 12 } };
  const { flap } = workOut(pouch({}, [{ kind: 'flap', overlapMm: 50 }], wide)).built;
  expect(flap!.edgeBelowFrontTop.value).toBeGreaterThan(25);
});
