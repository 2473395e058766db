import fc from 'fast-check';
import { checkPlan } from '../../out/formats';
import { reckon } from '../../reckon/reckon';
import { withStitch } from '../../craft/fabric';
import { FIRST_FABRIC } from '../newPlan';
import { askedField, readStart, startDefinition, STARTS, usualText, type StartAsk, type StartDefinition } from '.';

const start = (id: string): StartDefinition => startDefinition(id)!;

/** What is said to an ask by someone who has one of these, smaller or larger by up to a third. */
const anyAnswer = (ask: StartAsk): fc.Arbitrary<string> =>
  ask.kind === 'sizes'
    ? fc
        .array(fc.constantFrom('2', '2.5', '3,5', '4', '5', '6.5', '10'), { minLength: 2, maxLength: 12 })
        .map((sizes) => sizes.join(' '))
    : fc.integer({ min: Math.round(ask.usualMm * 0.67), max: Math.round(ask.usualMm * 1.33) }).map(String);

const anyAnswers = ({ asks }: StartDefinition): fc.Arbitrary<Record<string, string>> =>
  fc.record(Object.fromEntries(asks.map((ask) => [ask.at, anyAnswer(ask)])));

describe.each(STARTS.map((one) => [one.id, one] as const))('%s', (_id, one) => {
  it('asks two to seven things, each of which the plan keeps', () => {
    expect(one.asks.length).toBeGreaterThanOrEqual(2);
    expect(one.asks.length).toBeLessThanOrEqual(7);
    for (const ask of one.asks) {
      if (ask.kind === 'sizes') continue;
      const { label, min, max } = askedField(ask, one);
      expect(label).not.toBe('');
      expect(ask.usualMm).toBeGreaterThan(min);
      expect(ask.usualMm).toBeLessThan(max);
    }
  });

  it('before anything is said it is drawn as it often is, and says what is missing', () => {
    const { plan, faults } = readStart(one, {}, FIRST_FABRIC, 'mm');
    expect(checkPlan(plan).ok).toBe(true);
    expect(reckon(plan).pieces.length).toBeGreaterThan(0);
    const asked = one.asks.filter((ask) => ask.kind === 'sizes' || !ask.stands);
    expect(Object.keys(faults)).toEqual(asked.map(({ at }) => at));
  });

  it('whatever is said of one, it is a plan that can be worked', () => {
    fc.assert(
      fc.property(
        anyAnswers(one),
        fc.constantFrom(2.5, 3.5, 4, 5, 6),
        fc.constantFrom('single', 'half-double', 'double'),
        (texts, hookMm, stitch) => {
          const { plan, faults } = readStart(one, texts, withStitch({ ...FIRST_FABRIC, hookMm }, stitch), 'mm');
          expect(faults).toEqual({});
          expect(checkPlan(plan).ok).toBe(true);
          expect(reckon(plan).steps.length).toBeGreaterThan(2);
        },
      ),
      { numRuns: 25 },
    );
  });
});

it('what is said goes where it belongs, as it was typed', () => {
  const said = { 'carrier.width': '3 1/2 in', 'thing.members[0].width': '50', 'thing.members[1].height': '15 cm' };
  const { plan, faults } = readStart(start('arm-caddy'), said, FIRST_FABRIC, 'mm');
  expect(plan.carrier?.width).toMatchObject({ mm: 88.9, typed: '3 1/2 in' });
  const [front, behind] = plan.thing.members as unknown as { width: { mm: number }; height: { mm: number } }[];
  expect([front!.width.mm, behind!.height.mm]).toEqual([50, 150]);
  expect(Object.keys(faults)).toHaveLength(4);
});

it('a number alone is in the house’s unit, and the usual size is shown in it', () => {
  const { plan } = readStart(start('glasses-case'), { 'thing.width': '2 1/8' }, FIRST_FABRIC, 'in');
  expect((plan.thing.width as { mm: number }).mm).toBeCloseTo(53.975, 3);
  const [width] = start('glasses-case').asks;
  expect(usualText(width as Extract<StartAsk, { kind: 'length' }>, 'in')).toMatch(/^2 1\/8( in)?$/);
});

it('what cannot be read keeps its message, and nothing else is lost', () => {
  const { plan, faults } = readStart(
    start('phone-pouch'),
    { 'thing.width': 'wide', 'thing.height': '0', 'thing.depth': '12' },
    FIRST_FABRIC,
    'mm',
  );
  expect(faults['thing.width']).toMatch(/wide/);
  expect(faults['thing.height']).toMatch(/too small/);
  expect((plan.thing.depth as { mm: number }).mm).toBe(12);
  expect((plan.thing.width as { mm: number }).mm).toBe(76);
});

it('low glasses get no button that would not go on', () => {
  const said = { 'thing.width': '140', 'thing.height': '50', 'thing.depth': '30' };
  expect(readStart(start('glasses-case'), said, FIRST_FABRIC, 'mm').plan.fittings).toEqual([{ kind: 'flap' }]);
});

describe('sizes in one line', () => {
  const tools = (text: string) => {
    const { plan, faults } = readStart(start('hook-case'), { 'thing.tools': text }, FIRST_FABRIC, 'mm');
    return { fault: faults['thing.tools'], tools: plan.thing.tools as { name: string; count?: number }[] };
  };

  it.each([
    ['2 2.5 3 3.5 4 5 6', 7],
    ['2, 2,5, 3', 3],
    ['2;2.5;3', 3],
    ['2 mm 2.5mm', 2],
  ])('%s are %i', (text, count) => {
    expect(tools(text)).toMatchObject({ fault: undefined });
    expect(tools(text).tools).toHaveLength(count);
  });

  it('alike ones are one entry of several, each with its size as its tip', () => {
    expect(tools('3 3 4').tools).toMatchObject([
      { name: '3 mm hook', tip: { mm: 3 }, count: 2, length: { mm: 150 } },
      { name: '4 mm hook', tip: { mm: 4 } },
    ]);
  });

  it.each([
    ['', /Nothing typed yet/],
    ['two', /“two” is no size/],
    ['3 99', /99 mm is no size/],
    ['4 mm', /4 alone needs no case/],
    [Array.from({ length: 25 }, () => '4').join(' '), /25 are more than the 24/],
  ])('“%s” is refused', (text, says) => {
    expect(tools(text).fault).toMatch(says);
  });
});
