import { TERN_POINT } from '../demo';
import { BASES, STITCHES, type Instruction } from '../craft/fabric';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { formatNumber, formatSigned, plural } from '../base/units';
import { term, wordText } from './terms';
import { wordRow } from './wording';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);
const US_ONLY = /single crochet|\bskip\b|\bgauge\b/i;
const UK_ONLY = /\bmiss(ed)?\b|\btension\b/i;

const inSchools = (plan: Plan, schools: Plan['schools']): Plan => ({
  ...plan,
  schools: { ...plan.schools, ...schools },
});
const said = (plan: Plan) => reckon(plan).steps.flatMap(({ text, note }) => [text, note ?? '']);

describe.each(PLANS)('the pattern of %s', (_, plan) => {
  it('is of one language throughout', () => {
    for (const line of said(inSchools(plan, { terms: 'US' }))) expect(line).not.toMatch(UK_ONLY);
    for (const line of said(inSchools(plan, { terms: 'UK' }))) expect(line).not.toMatch(US_ONLY);
  });

  it('says the same things in either, step by step', () => {
    const [us, uk] = (['US', 'UK'] as const).map((terms) => reckon(inSchools(plan, { terms })).steps);
    expect(uk!.map(({ id, row, ends }) => [id, row, ends])).toEqual(us!.map(({ id, row, ends }) => [id, row, ends]));
  });

  it('measures in the unit it is read in', () => {
    for (const line of said(inSchools(plan, { units: 'in' }))) expect(line).not.toMatch(/\d mm\b|\d cm\b/);
    for (const line of said(inSchools(plan, { units: 'mm' })))
      expect(line).not.toMatch(/(?<![\d.])\d{1,2}(\.\d)? cm\b|\d{4,}(\.\d)? mm\b/);
  });

  it('leaves no token unfilled, says whole sentences, and never how easy it were', () => {
    for (const line of said(plan)) {
      expect(line).not.toMatch(/[{}]|undefined|NaN/);
      if (line) expect(line).toMatch(/[.!?)]$/);
      expect(line).not.toMatch(/\b(simply|easily|obviously)\b/i);
    }
  });

  it('keeps its counts for the left hand', () => {
    const [right, left] = (['right', 'left'] as const).map((hand) => reckon(inSchools(plan, { hand })));
    expect(left!.steps.map(({ ends }) => ends)).toEqual(right!.steps.map(({ ends }) => ends));
    expect(left!.supplies.yarn.metres.value).toBe(right!.supplies.yarn.metres.value);
  });
});

describe('a row in words', () => {
  const us = (...row: Instruction[]) => wordRow(row, { terms: 'US' });
  const uk = (...row: Instruction[]) => wordRow(row, { terms: 'UK' });
  const single = (times: number, into: 'stitch' | 'space' | 'ring' = 'stitch'): Instruction => ({
    do: 'work',
    stitch: 'single',
    times,
    into,
  });

  it('speaks of one and of several', () => {
    expect(us(single(1))).toBe('Single crochet in the next stitch.');
    expect(us(single(5))).toBe('Single crochet in each of the next 5 stitches.');
    expect(us(single(6, 'ring'))).toBe('6 single crochet into the ring.');
    expect(uk(single(2, 'space'))).toBe('Double crochet in each of the next 2 spaces.');
  });

  it('says of the turning chain whether it counts', () => {
    expect(us({ do: 'turning-chain', chains: 1, counts: false })).toBe('Chain 1.');
    expect(us({ do: 'turning-chain', chains: 3, counts: true })).toBe('Chain 3 (counts as a stitch).');
  });

  it('puts what is repeated into brackets, once, twice, and so many times', () => {
    const repeat = (times: number): Instruction => ({
      do: 'repeat',
      of: [single(1), { do: 'skip', times: 1, into: 'stitch' }],
      times,
    });
    const inside = '[single crochet in the next stitch, skip 1 stitch]';
    expect(us(repeat(1))).toBe(`${inside} once.`);
    expect(us(repeat(2))).toBe(`${inside} twice.`);
    expect(us(repeat(9))).toBe(`${inside} 9 times.`);
  });
});

describe('terms', () => {
  it('are words of their own in both languages for every stitch', () => {
    for (const id of [...STITCHES.map((stitch) => stitch.id), ...Object.values(BASES).map((base) => base.id)])
      for (const terms of ['US', 'UK'] as const) expect(term(id, terms).length).toBeGreaterThan(2);
  });

  it('fill tokens, and leave what is none', () => {
    expect(wordText('{Skip} 2, {single} over {mm:25.4}', { terms: 'UK', units: 'in' })).toBe(
      'Miss 2, double crochet over 1 in',
    );
    expect(wordText('no token', { terms: 'US', units: 'mm' })).toBe('no token');
    expect(wordText('{side:left} and {side:clockwise}', { terms: 'US', units: 'mm', hand: 'left' })).toBe(
      'right and anticlockwise',
    );
  });
});

describe('numbers in words', () => {
  it.each<[number, number, string]>([
    [3, 1, '3'],
    [3.04, 1, '3'],
    [3.06, 1, '3.1'],
    [-0.04, 1, '0'],
    [5.004, 2, '5'],
    [1234.5, 0, '1235'],
  ])('%d to %i places reads %s', (value, digits, text) => expect(formatNumber(value, digits)).toBe(text));

  it('carry a sign where it tells something', () => {
    expect([1.8, -3, 0, 0.01].map((value) => formatSigned(value))).toEqual(['+1.8', '−3', '0', '0']);
  });

  it('take their noun along', () => {
    expect([plural(1, 'row'), plural(12, 'row'), plural(0, 'row'), plural(2, 'stitch', 'stitches')]).toEqual([
      '1 row',
      '12 rows',
      '0 rows',
      '2 stitches',
    ]);
  });
});
