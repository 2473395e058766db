import { refereePiece } from '../pattern/refereePiece';
import { workFaults } from '../piece/referee';
import { PLAN_FORMAT, type Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import type { Worked } from '../reckon/types';
import { workOut } from '../reckon/build';
import { allPieces, workOf } from '../reckon/steps';

const BOTTLE: Plan['thing'] = { kind: 'cylinder', diameter: { mm: 75 }, height: { mm: 240 } };

const plan = (more: Partial<Plan>, fabric: Partial<Plan['fabric']> = {}): Plan => ({
  format: PLAN_FORMAT,
  title: 'tube',
  thing: BOTTLE,
  fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {}, ...fabric },
  shape: { kind: 'round-chain' },
  fit: { name: 'snug' },
  fittings: [],
  schools: { rounds: 'joined' },
  ...more,
});

/** Reckoned, its rounds and all its work refereed. */
function made(given: Plan): Worked {
  const worked = reckon(given);
  // it goes to other threads, and over the wire
  expect(structuredClone(worked)).toEqual(worked);
  for (const { id } of worked.pieces) expect(refereePiece(worked.steps, id).faults).toEqual([]);
  const out = workOut(given);
  const pieces = allPieces(out);
  expect(workFaults(workOf(out), pieces)).toEqual([]);
  return worked;
}

const textsOf = ({ steps }: Worked, id: string | RegExp) =>
  steps.filter((step) => (typeof id === 'string' ? step.id === id : id.test(step.id))).map(({ text }) => text);
const idsOf = ({ steps }: Worked) => steps.map(({ id }) => id);

describe('a bottle bag of plain rounds, a net and plain rounds', () => {
  const bands = (closes?: string): Plan['fabric']['bands'] => [
    { stitch: 'single', courses: 6 },
    { stitch: 'net', fill: true, ...(closes ? { pattern: { closes } } : {}) },
    { stitch: 'single', courses: 4 },
  ];
  const handle = { fittings: [{ kind: 'tongue-handle', foot: 8, run: 4 }] };
  const bag = made(plan(handle, { bands: bands() }));
  const rounds = bag.steps.filter(({ kind }) => kind === 'round');

  it('closes each round of its net in mid-loop, and begins the next one there', () => {
    const net = rounds.filter(({ counted }) => counted?.includes('loop'));
    expect(net.length).toBeGreaterThan(8);
    for (const { text } of net) {
      expect(text).toMatch(/chain 2, double crochet in the first stitch to close the last loop\.$/);
      expect(text).not.toMatch(/join with/);
    }
    for (const { text } of net.slice(1)) expect(text).toMatch(/begin with the loop you stand in/);
    const level = rounds[rounds.indexOf(net.at(-1)!) + 1]!;
    expect(level.text).toMatch(
      /begin with the loop you stand in as the next space, \[3 single crochet in the next space, single crochet in the next stitch\] \d+ times, join/,
    );
    expect(rounds.slice(-4).every(({ counted }) => counted === null)).toBe(true);
  });

  it('knows the other school: its whole chain and a single, on in a spiral', () => {
    const texts = textsOf(made(plan({}, { bands: bands('full') })), /^body-round/);
    expect(texts.filter((text) => /chain 5/.test(text)).every((text) => !/close the last loop|join/.test(text))).toBe(
      true,
    );
  });

  it('has a handle narrowed twice, run, widened back and joined to the stitches opposite', () => {
    const counts = bag.steps.filter(({ piece, row }) => piece === 'tongue' && row).map(({ ends }) => ends);
    expect(counts.slice(0, 3)).toEqual([6, 4, 4]);
    expect(counts.slice(-3)).toEqual([4, 6, 8]);
    const n = bag.pieces[0]!.roundCounts!.at(-1)!;
    const [join] = textsOf(bag, 'join-tongue');
    const [, from, to] = /stitches (\d+) to (\d+) of the opening/.exec(join!)!.map(Number);
    const [, first, last] = /in stitch (\d+) of .* to stitch (\d+)/
      .exec(textsOf(bag, 'tongue-foundation')[0]!)!
      .map(Number);
    // as many stitches free on one side as on the other
    expect([to! - from!, from! - last! - 1]).toEqual([last! - first!, n - to! + first! - 1]);
    expect(join).toMatch(/right sides together.*\(8 stitches\) Fasten off\.$/);
  });

  it('is as high as its bands are together, and each yarn metre is counted in its own stitch', () => {
    const plain = made(plan({}, { bands: [{ stitch: 'single', fill: true }] }));
    expect(Math.abs(bag.inside.depth.value - plain.inside.depth.value)).toBeLessThan(12);
    expect(bag.supplies.yarn.metres.value).toBeLessThan(plain.supplies.yarn.metres.value + 10);
  });

  it('has its first round joined like all others', () => {
    expect(rounds[0]!.text).toMatch(/join with a slip stitch to the first stitch\.$/);
  });
});

describe('a sling', () => {
  const bands = [
    { stitch: 'single', courses: 3 },
    { stitch: 'double-v', fill: true },
    { stitch: 'single', courses: 3 },
  ];
  const sling = made(
    plan(
      {
        shape: { kind: 'disc-wall' },
        schools: { rounds: 'spiral' },
        fittings: [{ kind: 'strap', strap: 'chain-rows', rows: 4, loopMm: 1000 }],
      },
      { bands },
    ),
  );

  it('joins its Vs, which could not climb in a spiral, and levels the step over round 1', () => {
    const vs = sling.steps.filter(({ counted }) => counted?.endsWith('Vs'));
    expect(vs.length).toBeGreaterThan(5);
    for (const { text } of vs) expect(text).toMatch(/^Chain 2, .* join with a slip stitch/);
    expect(textsOf(sling, 'level')[0]).toMatch(
      /above the first stitch of round 1, then slip stitch in the next stitch/,
    );
    expect(sling.steps.find(({ row }) => row === 1)!.counted).toBeNull();
  });

  it('carries a strap whose tails hang at both ends, each of its long rows a tick of its own', () => {
    const strap = sling.steps.filter(({ piece }) => piece === 'strap');
    expect(strap[0]!.text).toMatch(/^Leave a tail of 300 mm to sew with\. Chain \d+\./);
    expect(strap.filter(({ row }) => row)).toHaveLength(4);
    expect(textsOf(sling, 'fasten-off-strap')[0]).toBe('Fasten off, leaving a tail of 300 mm to sew with.');
    expect(textsOf(sling, 'sew-strap')[0]).toMatch(/^With its tails, /);
  });

  it('sews an odd number of rows on with one tail and yarn for the other end', () => {
    const odd = made(
      plan({ shape: { kind: 'disc-wall' }, fittings: [{ kind: 'strap', strap: 'chain-rows', rows: 3, loopMm: 1000 }] }),
    );
    expect(textsOf(odd, 'sew-strap')[0]).toMatch(/^With its tail, .* With about 300 mm of yarn, sew its other end/);
  });
});

describe('a tote', () => {
  const tote = (fitting: object, shape: object = {}) =>
    made(
      plan(
        {
          thing: { kind: 'loose', width: { mm: 150 }, height: { mm: 180 } },
          shape: { kind: 'disc-wall', baseRounds: 'joined', ...shape },
          schools: { rounds: 'spiral' },
          fittings: [{ kind: 'handles', ...fitting }],
          picks: { round: 40 },
        },
        { stitch: 'single-back-loop' },
      ),
    );

  it('has a joined base under a spiral wall', () => {
    const { steps } = tote({ openMm: 50 });
    const rounds = steps.filter(({ kind }) => kind === 'round');
    for (const { section, text } of rounds)
      expect([section, /join with/.test(text)]).toEqual([section, section === 'base']);
  });

  it.each([
    [{ openMm: 50 }, (a: number) => [a, 20 - a]],
    [{ openMm: 30, before: 0 }, (a: number) => [a, 20 - a]],
  ])('goes round as handle, between, handle, between: %j', (fitting, split) => {
    const worked = tote({ ...fitting, above: 3 });
    const open = worked.steps.find(({ text }) => /chain \d+, skip \d+ stitches/.test(text))!;
    const a = Number(/chain (\d+)/.exec(open.text)![1]);
    const between = [...open.text.matchAll(/each of the next (\d+) stitches/g)].map((found) => Number(found[1]));
    const whole = split(a)[1]! * 2;
    expect(between.reduce((sum, count) => sum + count, 0)).toBe(whole);
    expect(open.row).toBe(worked.pieces[0]!.rows - 3);
    expect(open.text).toMatch(/in the back loop/i);
  });

  it('is told when its handles come to lie beside a neck', () => {
    const flask = { ...BOTTLE, shoulderHeight: { mm: 150 }, neckDiameter: { mm: 30 } } as Plan['thing'];
    const ids = (thing: Plan['thing'], shape: object) =>
      made(
        plan({ thing, shape: { kind: 'disc-wall', ...shape }, fittings: [{ kind: 'handles', openMm: 50 }] }),
      ).advice.map(({ id }) => id);
    expect(ids(flask, {})).toContain('handles-at-neck');
    expect(ids(flask, { takeIn: 'shoulder' })).not.toContain('handles-at-neck');
    expect(ids(BOTTLE, {})).not.toContain('handles-at-neck');
  });

  it('says what a handle beside the middle costs', () => {
    const advice = (fitting: object) => tote(fitting).advice.map(({ id }) => id);
    expect(advice({ openMm: 50 })).not.toContain('handles-askew');
    expect(advice({ openMm: 30, before: 0 })).toContain('handles-askew');
  });
});

describe('a gift bag', () => {
  const gift = (cord: object, more: Partial<Plan> = {}) =>
    made(
      plan(
        {
          thing: { kind: 'loose', width: { mm: 120 }, height: { mm: 120 } },
          shape: { kind: 'disc-wall', start: 8, each: 8, cupped: 'on-purpose' },
          picks: { round: 40 },
          fittings: [{ kind: 'drawstring', ...cord }],
          ...more,
        },
        {
          bands: [
            { stitch: 'single', fill: true },
            { stitch: 'single', courses: 6, colour: 'kelp' },
          ],
        },
      ),
    );

  it('grows from 8 to 40 in five rounds, as it is meant to, with a top in another colour', () => {
    const bag = gift({ between: 4 });
    expect(bag.pieces[0]!.roundCounts!.slice(0, 5)).toEqual([8, 16, 24, 32, 40]);
    expect(bag.advice.filter(({ id }) => id.startsWith('base-'))).toEqual([]);
    expect(bag.steps.filter(({ text }) => text.startsWith('With kelp')).map(({ row }) => row)).toEqual([
      bag.pieces[0]!.rows - 5,
    ]);
  });

  it('may have an odd number of holes, so that both ends come out of one', () => {
    const bag = gift({ between: 7, ends: 'one-hole' });
    expect(bag.fittings[0]!.figures.holes!.value).toBe(5);
    expect(textsOf(bag, 'thread-cord')[0]).toMatch(/starting and ending at the same hole/);
  });

  it('carries a bell at its end, and says what that brings', () => {
    const bag = gift({ end: 'bell' });
    expect(textsOf(bag, 'knot-cord')[0]).toBe(
      'Pull the opening fully open, then thread a bell on, and knot the ends below it.',
    );
    expect(bag.supplies.notions).toContainEqual({ name: 'bell', count: 1 });
    expect(bag.cautions.some(({ text }) => /choking/.test(text))).toBe(true);
  });

  it('is edged, and threaded only then; what slides goes on before the knot', () => {
    const ids = idsOf(
      gift({}, { fittings: [{ kind: 'drawstring' }, { kind: 'bobble' }, { kind: 'edging', edging: 'loops' }] }),
    );
    const order = ['work-edging', 'fasten-off-body', 'thread-cord', 'make-bobble', 'knot-cord', 'weave-in'];
    expect(ids.filter((id) => order.includes(id))).toEqual(order);
  });

  it('ties with a chain on from its last round, woven back through loops', () => {
    const bag = gift({ through: 'loops', cord: 'tie' });
    const ids = ['work-loops', 'chain-tie', 'fasten-off-body', 'thread-cord', 'knot-cord'];
    expect(idsOf(bag).filter((id) => ids.includes(id))).toEqual(ids);
    expect(bag.steps.find(({ id }) => id === 'work-loops')!.counted).toBe('20 loops');
    expect(textsOf(bag, 'chain-tie')[0]).toMatch(/^The tie, on from where you are: Chain \d+\.$/);
    expect(textsOf(bag, 'thread-cord')[0]).toMatch(/all round and back to where it begins/);
  });
});

describe('a base whose rounds are typed', () => {
  const soap = (shape: object, more: Partial<Plan> = {}) =>
    plan({
      thing: { kind: 'loose', width: { mm: 114 }, height: { mm: 90 } },
      shape: { kind: 'disc-wall', counts: '6, 12, 24, 30, 36', ...shape },
      ...more,
    });

  it('has just those rounds, and a wall of as many as its last', () => {
    const { pieces } = made(soap({}));
    expect(pieces[0]!.roundCounts!.slice(0, 6)).toEqual([6, 12, 24, 30, 36, 36]);
    expect(new Set(pieces[0]!.roundCounts!.slice(4))).toEqual(new Set([36]));
  });

  it('says how each of them lies, and nothing where it is meant to ruffle', () => {
    const said = (shape: object) => reckon(soap(shape)).advice.find(({ id }) => id === 'base-ruffles');
    expect(said({})).toMatchObject({ change: { 'shape.cupped': 'on-purpose' } });
    expect(said({})!.text).toMatch(/the rounds of the base have (.\d+ %, ){3}.\d+ % and \+\d+ %: it ruffles\.$/);
    expect(said({ cupped: 'on-purpose' })).toBeUndefined();
  });

  it.each([
    ['6, 12, x', /is no list of numbers/],
    ['6, 13', /Round 2 has 13 stitches after 6: 6 to 12 can be worked\. Use 12\./],
    ['6, 12, 10', /Round 3 has 10 stitches after 12: 12 to 24 can be worked\. Use 12\./],
    ['2, 4', /Begin with 3 or more/],
  ])('is refused as %s', (counts, message) => {
    expect(() => reckon(soap({ counts }))).toThrow(message);
  });

  it('is refused beside another count that is picked for the sides', () => {
    expect(() => reckon(soap({}, { picks: { round: 40 } }))).toThrow(/typed to end on 36 stitches, and 40 are picked/);
  });
});

describe('a ring sleeve', () => {
  const sleeve = (more: Partial<Plan> = {}) =>
    made(
      plan({
        thing: { kind: 'slab', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } },
        shape: { kind: 'ring-tube' },
        ...more,
      }),
    );

  it('is sewn at its bottom with the tail it began with', () => {
    const texts = sleeve().steps.map(({ text }) => text);
    expect(texts[0]).toMatch(/^Leave a tail of \d+ mm to sew with\. Chain/);
    expect(texts.at(-2)).toMatch(/With the tail that hangs there, whip stitch/);
  });

  it('closes with a loop and a button where it has no flap', () => {
    const worked = sleeve({ fittings: [{ kind: 'mouth-loop', buttonMm: 15 }] });
    const { asked, length, buttonBelow } = worked.fittings[0]!.figures;
    expect(asked!.value).toBeGreaterThanOrEqual(2 * (9 + buttonBelow!.value));
    expect(length!.value).toBeGreaterThanOrEqual(asked!.value);
    expect(idsOf(worked)).toEqual(expect.arrayContaining(['work-mouth-loop', 'sew-button']));
  });

  it('leaves no holes at an opening that is its chain', () => {
    const opening = { shape: { kind: 'ring-tube', begins: 'opening' }, fittings: [{ kind: 'drawstring' }] };
    expect(() => sleeve(opening)).toThrow(/Its opening is the chain/);
  });
});

describe('rounds', () => {
  it('round a chain come to the odd count that is picked', () => {
    const worked = made(plan({ picks: { round: 33 } }));
    expect(worked.pieces[0]!.roundCounts!.every((count) => count === 33)).toBe(true);
    expect(worked.pieces[0]!.stitches).toBe(33);
  });

  it('rise over lower stitches where a spiral grows taller', () => {
    const bands = [
      { stitch: 'single', courses: 2 },
      { stitch: 'double', fill: true },
    ];
    const worked = made(plan({ schools: { rounds: 'spiral' } }, { bands }));
    expect(worked.steps.find(({ row }) => row === 3)!.text).toMatch(
      /^Single crochet in the next stitch, half double crochet in the next stitch, double crochet in each/,
    );
    expect(textsOf(worked, 'level')[0]).toMatch(/each of the next 3 stitches/);
    const soft = plan({ schools: { rounds: 'spiral' } }, { bands });
    const softer = made({ ...soft, shape: { ...soft.shape, slips: 4 } });
    expect(textsOf(softer, 'level')[0]).toMatch(/each of the next 4 stitches/);
  });

  it('never lay two decreases above each other', () => {
    const thing = { ...BOTTLE, shoulderHeight: { mm: 150 }, neckDiameter: { mm: 30 } } as Plan['thing'];
    const worked = made(plan({ thing, shape: { kind: 'disc-wall', takeIn: 'shoulder' } }));
    const single = worked.steps.flatMap(({ section, text }) => {
      const found =
        section === 'shoulder' && /each of the next (\d+) stitches, single crochet 2 together(?!.*together)/.exec(text);
      return found ? [Number(found[1])] : [];
    });
    single.slice(1).forEach((place, index) => expect(Math.abs(place - single[index]!)).toBeGreaterThan(1));
    expect(worked.pieces[0]!.roundCounts!.at(-1)!).toBeLessThan(worked.pieces[0]!.stitches);
  });

  it('of a ring of two chains go into the second of them', () => {
    const worked = made(plan({ shape: { kind: 'disc-wall' }, schools: { ring: 'two-chains', rounds: 'joined' } }));
    expect(worked.steps[0]!.text).toBe('Chain 2: the first round goes into the first of them.');
    expect(worked.steps[1]!.text).toMatch(/single crochet in the second chain from the hook, join/);
  });

  it.each([
    [60, 25],
    [150, 40],
    [100, 60],
  ])('of an oval floor for %i × %i mm never leap: what is too much makes the chain longer', (width, depth) => {
    const thing: Plan['thing'] = { kind: 'slab', width: { mm: width }, height: { mm: 90 }, depth: { mm: depth } };
    const worked = made(plan({ thing, shape: { kind: 'round-chain', floor: 'flat' } }));
    const floor = worked.pieces[0]!.roundCounts!.slice(0, worked.pieces[0]!.sections[0]!.to);
    expect(floor.at(-1)! - floor.at(-2)!).toBeLessThanOrEqual(11);
    expect(worked.advice.some(({ id }) => id === 'floor-against-wall')).toBe(floor.at(-1)! < floor.at(-2)!);
  });

  it('of an edging upon a net fill each loop first', () => {
    const worked = made(
      plan(
        { fittings: [{ kind: 'edging', edging: 'slip' }] },
        {
          bands: [
            { stitch: 'single', courses: 2 },
            { stitch: 'net', fill: true },
          ],
        },
      ),
    );
    expect(textsOf(worked, 'work-edging')[0]).toMatch(
      /^Round 1: Chain 1; .*3 single crochet in the next space.* Round 2: Slip stitch/,
    );
  });

  it('of a second layer are worked down the loops a back-loop wall leaves free', () => {
    const wall = { shape: { kind: 'disc-wall' }, fittings: [{ kind: 'second-layer', below: 3 }] };
    const worked = made(plan(wall, { stitch: 'single-back-loop' }));
    const [bag, layer] = worked.pieces;
    expect(textsOf(worked, 'layer-foundation')[0]).toMatch(
      `Join the yarn in a loop that round ${bag!.rows - 4} left free, the bag held upside down, the outside facing.`,
    );
    // each round goes into the loops of the next one down, to those that the wall’s first round left
    const rounds = worked.steps.filter(({ piece, row }) => piece === 'layer' && row);
    expect(rounds).toHaveLength(bag!.sections.at(-1)!.rows - 3);
    expect(rounds[0]!.text).toContain('long the free loops of that round, ');
    for (const { text } of rounds.slice(1))
      expect(text).toContain(
        `long the loops that the next round down leaves free, single crochet in each of the next ${bag!.stitches} free loops`,
      );
    const high = bag!.sections.at(-1)!;
    expect(layer!.height.value).toBeCloseTo((layer!.rows * high.mm) / high.rows, 6);
    const skirt = made(
      plan({ ...wall, fittings: [{ kind: 'second-layer', way: 'skirt', rounds: 4 }] }, { stitch: 'single-back-loop' }),
    );
    expect(textsOf(skirt, 'layer-round-2')[0]).toMatch(/^(Chain 1, s|S)ingle crochet in each of the next \d+ stitches/);
    const under = (above: number, below?: number) =>
      made(
        plan(
          {
            ...wall,
            fittings: [
              { kind: 'handles', above, openMm: 30 },
              { kind: 'second-layer', ...(below === undefined ? {} : { below }) },
            ],
          },
          { stitch: 'single-back-loop' },
        ),
      );
    // it stops below what the handles leave open
    const handled = under(4);
    const opens = handled.steps.findIndex(({ text }) => /chain \d+, skip \d+ stitches/.test(text));
    const ring = Number(/round (\d+) left free/.exec(textsOf(handled, 'layer-foundation')[0]!)![1]);
    expect(ring).toBeLessThan(handled.steps[opens]!.row!);
    expect(() => under(4, 2)).toThrow(/would cover openings of the wall/);
    expect(worked.supplies.yarn.metres.value).toBeGreaterThan(
      1.5 * made(plan({ shape: { kind: 'disc-wall' } }, { stitch: 'single-back-loop' })).supplies.yarn.metres.value,
    );
    expect(() => made(plan({ fittings: [{ kind: 'second-layer' }] }))).toThrow(/leaves no loops free/);
  });

  it('round a chain may share its loops', () => {
    const worked = made(plan({ shape: { kind: 'round-chain', chainLoops: 'shared' } }));
    expect(worked.steps.find(({ row }) => row === 1)!.note).toMatch(/back loop of each chain, along the other/);
  });
});

describe('the pockets of a saddle', () => {
  const saddle = (bands: Plan['fabric']['bands']) =>
    plan(
      {
        thing: { kind: 'slab', width: { mm: 75 }, height: { mm: 150 }, depth: { mm: 9 } },
        carrier: { kind: 'bar', diameter: { mm: 40 }, dropFront: { mm: 80 }, dropBack: { mm: 80 } },
        shape: { kind: 'saddle' },
      },
      { bands },
    );

  it('are of the same bands from their bottoms: the second one, worked down, ends where the first began', () => {
    const worked = reckon(
      saddle([
        { stitch: 'single', courses: 3 },
        { stitch: 'double-v', fill: true },
        { stitch: 'single', courses: 2 },
      ]),
    );
    expect(refereePiece(worked.steps, 'body').faults).toEqual([]);
    const inVs = (section: string) =>
      worked.steps.filter((step) => step.section === section && step.row).map(({ counted }) => counted !== null);
    const [front, behind] = [inVs('pocket in front'), inVs('pocket behind')];
    expect(front.slice(0, 4)).toEqual([false, false, false, true]);
    // upon its Vs the last band begins with the round that fills them
    expect(front.slice(-3)).toEqual([true, false, false]);
    expect(behind.slice(0, 3)).toEqual([false, false, true]);
    expect(behind.slice(-4)).toEqual([true, false, false, false]);
  });

  it('end in plain stitches, from which the way over the bar goes on, and the bottom is closed', () => {
    const worked = reckon(
      saddle([
        { stitch: 'single', courses: 3 },
        { stitch: 'net', fill: true },
      ]),
    );
    expect(refereePiece(worked.steps, 'body').faults).toEqual([]);
    const texts = worked.steps.filter(({ section }) => section === 'pocket in front').map(({ text }) => text);
    expect(texts.at(-1)).toMatch(/single crochet in (each of the next \d+|the next) space/);
  });
});

describe('rounds as they lie', () => {
  const spiral = { schools: { rounds: 'spiral' as const } };

  it('grow an oval floor at its ends, and go on plain along its sides', () => {
    const floor = {
      thing: { kind: 'slab', width: { mm: 140 }, height: { mm: 90 }, depth: { mm: 60 } },
      shape: { kind: 'round-chain', floor: 'flat' },
    };
    const worked = made(plan(floor));
    const [, second, third] = worked.steps.filter(({ row, section }) => row && section === 'base');
    for (const { work } of [second!, third!]) {
      const plain = work!.filter((one) => one.do === 'work' && one.times > 8);
      expect(plain).toHaveLength(2);
      expect(new Set(plain.map((one) => 'times' in one && one.times)).size).toBe(1);
    }
  });

  it('close a base in a spiral before joined ones go on from it', () => {
    const bottle = { kind: 'cylinder', height: { mm: 200 }, diameter: { mm: 70 } };
    const box = { kind: 'slab', width: { mm: 120 }, height: { mm: 90 }, depth: { mm: 60 } };
    for (const [thing, shape] of [
      [bottle, { kind: 'disc-wall' }],
      [box, { kind: 'round-chain', floor: 'flat' }],
    ] as const) {
      const given = { thing };
      const worked = made(plan({ ...given, shape: { ...shape, baseRounds: 'spiral' }, schools: { rounds: 'joined' } }));
      const base = worked.steps.filter(({ row, section }) => row && section === 'base');
      expect(base.at(-1)!.text).toMatch(/join with a slip stitch to the first stitch\.$/);
      expect(base.at(-2)!.text).not.toMatch(/join/);
    }
  });

  it('lean: handles of a tote are counted from the fold as it lies there, and stay alike', () => {
    const tote = made(plan({ ...spiral, shape: { kind: 'round-chain' }, fittings: [{ kind: 'handles', openMm: 40 }] }));
    const open = tote.steps.find(({ text }) => /chain \d+, skip/.test(text))!;
    const [, before, , between, , after] =
      /next (\d+) stitches, chain (\d+), skip \d+ stitches, .*?next (\d+) stitches, chain (\d+), skip \d+ stitches, .*?next (\d+) stitches/
        .exec(open.text)!
        .map(Number);
    expect(before! + after!).toBe(between!);
    const [, shift, way] = /about (\d+) stitches (on from|before) the beginning/.exec(
      tote.steps[tote.steps.indexOf(open) - 1]!.note!,
    )!;
    expect(before! - Math.floor(between! / 2)).toBe(way === 'before' ? -Number(shift) : Number(shift));
  });

  it('taken in further than the item passes are worked around it, and say so', () => {
    const flask = {
      kind: 'cylinder',
      height: { mm: 200 },
      diameter: { mm: 70 },
      shoulderHeight: { mm: 130 },
      neckDiameter: { mm: 35 },
    };
    const taken = made(plan({ thing: flask, shape: { kind: 'disc-wall', takeIn: 'shoulder' } }));
    expect(taken.advice.map(({ id }) => id)).toContain('stays-on');
    const last = taken.steps.filter(({ section, row }) => row && section === 'wall').at(-1)!;
    expect(last.note).toMatch(/^Put the item in now/);
    const straight = made(plan({ thing: flask, shape: { kind: 'disc-wall' } }));
    expect(straight.advice.map(({ id }) => id)).not.toContain('stays-on');
  });
});

describe('a disc’s wall', () => {
  const disc = (diameter: number, shape: object = {}) =>
    reckon({
      format: 'keep-snug.plan/1',
      title: 'disc',
      thing: { kind: 'cylinder', height: { mm: 120 }, diameter: { mm: diameter } },
      fabric: { stitch: 'single', hookMm: 4, yarn: { metresPer100g: 190 }, gauge: {} },
      shape: { kind: 'disc-wall', ...shape },
      fit: { name: 'snug' },
      fittings: [],
    });

  it('is a multiple of what the base adds, where that costs half a stitch more of size at most', () => {
    for (let diameter = 50; diameter < 110; diameter += 1) {
      const { choices, fabric } = disc(diameter, { wallOf: 'multiple' });
      const { options, askedMm } = choices[0]!;
      const { count, mm } = options.find(({ best }) => best)!;
      const w = fabric.stitchWidth.value;
      const nearest = Math.abs(Math.round(askedMm / w) * w - askedMm);
      const six = Math.abs(6 * w * Math.round(askedMm / (6 * w)) - askedMm);
      if (six <= nearest + w / 2 - 1e-6 || count % 6 === 0) expect(count % 6).toBe(0);
      else expect(Math.abs(mm - askedMm)).toBeLessThanOrEqual((5 / 9) * w + 1e-6);
      expect(Math.abs(mm - askedMm)).toBeLessThanOrEqual(nearest + (2 * w) / 3);
    }
  });

  it('is as near as it comes where somebody says how the base grows', () => {
    const counts = [71, 73, 77].map(
      (diameter) => disc(diameter, { wallOf: 'multiple', each: 7, start: 7 }).pieces[0]!.stitches,
    );
    expect(counts.some((count) => count % 6 !== 0)).toBe(true);
  });
});
