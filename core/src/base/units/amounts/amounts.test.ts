import fc from 'fast-check';
import { parseLength } from '../length';
import {
  amountIn,
  formatDuration,
  formatHook,
  massWith,
  parseDuration,
  parseHook,
  parseMass,
  parseNumber,
  parseYarnage,
} from './index';

const valueOf = (read: { ok: boolean; value?: unknown; message?: string }) => (read.ok ? read.value : read.message);

describe('a time', () => {
  it.each([
    ['30 min', 'h', 30],
    ['1:30', 'h', 90],
    ['1:30', 'min', 90],
    ['1½', 'h', 90],
    ['1½', 'min', 90],
    ['1 1/2 h', 'min', 90],
    ['1.5 h', 'min', 90],
    ['1,5 h', 'min', 90],
    ['1 h 30', 'min', 90],
    ['1h30m', 'h', 90],
    ['90', 'min', 90],
    ['90', 'h', 90],
    ['3', 'h', 180],
    ['2 hours', 'min', 120],
  ] as const)('%s where a plain number is %s', (text, bare, minutes) =>
    expect(valueOf(parseDuration(text, bare))).toBe(minutes),
  );
  it.each(['30 mins or so', '1:75', 'an hour', '', '3 3', '30 km'])('refuses “%s” whole', (text) =>
    expect(parseDuration(text, 'h')).toMatchObject({ ok: false, message: expect.stringMatching(/30 min/) as string }),
  );
  it('comes back as it is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000 }), (minutes) => {
        expect(valueOf(parseDuration(formatDuration(minutes), 'min'))).toBe(minutes);
      }),
    );
  });
});

describe('a yarn’s length, as its label says it', () => {
  it.each([
    ['85 m / 50 g', 170, 50],
    ['85m/50g', 170, 50],
    ['50 g = 85 m', 170, 50],
    ['93 yd per 50 g', 170.078, 50],
    ['170 m/100 g', 170, 100],
    ['85/50', 170, 50],
    ['186 yds / 3.5 oz', 171.41, 99.223],
    ['170', 170, undefined],
  ])('%s', (text, metresPer100g, ballGrams) =>
    expect(valueOf(parseYarnage(text))).toEqual({ metresPer100g, ...(ballGrams ? { ballGrams } : {}) }),
  );
  it.each([
    ['93 yd', /to how many grams/],
    ['85 m / 50', undefined],
    ['85 m / 0 g', /is not a length for a weight/],
    ['85 miles / 50 g', /“miles” is not a unit/],
    ['soft', /“soft” is not a/],
  ])('%s', (text, message) => {
    const read = parseYarnage(text);
    if (message) expect(valueOf(read)).toMatch(message);
    else expect(read).toMatchObject({ ok: true, value: { metresPer100g: 170 } });
  });
});

describe('what there is of a yarn', () => {
  it.each([
    ['120', 120],
    ['120 g', 120],
    ['4 oz', 113.398],
    ['0.5 kg', 500],
    ['1 x 100 g', 100],
    ['2x50', 100],
    ['3 balls of 50 g', 150],
    ['2 balls', 100],
    ['2½ balls', 125],
    ['1 ball + 20 g', 70],
    ['1,200 g', 1200],
  ])('%s', (text, grams) => expect(valueOf(parseMass(text, 50))).toBe(grams));
  it('asks what a ball weighs where that is not known, and which is meant where it may be two', () => {
    expect(valueOf(parseMass('2 balls'))).toMatch(/What one ball weighs is not known. Write “2 x 50 g”/);
    expect(valueOf(parseMass('1,250 kg'))).toMatch(/may be 1250 or 1.25/);
    expect(valueOf(massWith(50).read('2 balls or so'))).toMatch(/is not a weight/);
  });
});

describe('a hook', () => {
  it.each([
    ['4', 4],
    ['4 mm', 4],
    ['4,5mm', 4.5],
    ['G', 4],
    ['g-6', 4],
    ['H/8', 5],
    ['US 7', 4.5],
    ['US G', 4],
    ['UK 8', 4],
    ['old UK no 9', 3.5],
    ['10 1/2', 10.5],
    ['US 10 1/2', 6.5],
    ['K-10½', 6.5],
  ])('%s', (text, mm) => expect(valueOf(parseHook(text))).toBe(mm));
  it.each(['G-7', 'UK 99', 'Z', '4 cm', 'small'])('%s is refused whole', (text) =>
    expect(parseHook(text).ok).toBe(false),
  );
  it('is written with the name it has', () =>
    expect([4, 4.5, 4.2].map(formatHook)).toEqual(['4 mm (G-6)', '4.5 mm (7)', '4.2 mm']));
});

describe('a length', () => {
  it.each([
    ['3-1/4 in', 82.55],
    ['1,000 mm', 1000],
    ['8,2 cm', 82],
    [`5' 3"`, 1600.2],
    ['5 ft 3 1/2 in', 1612.9],
    ['2 ft', 609.6],
    ['1 yd', 914.4],
    ['0,125 m', 125],
  ])('%s', (text, mm) => {
    const read = parseLength(text);
    expect(read.ok && read.mm).toBeCloseTo(mm, 6);
  });
  it('is asked about where it may be two', () =>
    expect(parseLength('1,250 m')).toMatchObject({ message: expect.stringMatching(/may be 1250 or 1.25/) as string }));
});

it('every amount is understood whole or refused with a repair, whatever is typed after it', () => {
  const units = ['g', 'h', 'minutes', 'mm', 'stitches', '%', ''];
  fc.assert(
    fc.property(
      fc.constantFrom(...units),
      fc.double({ min: 0, max: 900, noNaN: true }),
      fc.string(),
      (unit, n, tail) => {
        const amount = amountIn(unit);
        const written = amount.write(Math.round(n * 100) / 100);
        const own = amount.read(written);
        expect(own.ok).toBe(true);
        const more = amount.read(`${written} ${tail}`);
        if (!more.ok) expect(more.message.length).toBeGreaterThan(10);
        // a word after it is never left out of what was understood
        expect(more.ok && /^[a-z]{3,}$/i.test(tail)).toBe(false);
      },
    ),
  );
});

it('a plain number is read whole or not at all', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const read = parseNumber(text);
      return read.ok ? Number.isFinite(read.value) : read.message.length > 0;
    }),
  );
  expect(valueOf(parseNumber('12 34'))).toMatch(/two numbers/);
});
