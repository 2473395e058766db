import fc from 'fast-check';
import { formatLength, formatOnTape, LENGTH_UNITS, MM_PER, parseLength, SHOWN_STEP_MM } from './length';

const mmOf = (text: string, bare?: 'mm' | 'cm' | 'in') => {
  const parsed = parseLength(text, bare);
  return parsed.ok ? parsed.mm : parsed.message;
};

describe('reading a length', () => {
  it.each([
    ['82', 82],
    ['82 mm', 82],
    ['8,2 cm', 82],
    ['8.2cm', 82],
    ['3.25 in', 82.55],
    ['3 1/4', 82.55],
    ['3 1/4"', 82.55],
    ['3¼ in', 82.55],
    ['½ inch', 12.7],
    ['.5 m', 500],
    [' 1/2 ', 12.7],
    ['0', 0],
    ['-4 mm', -4],
  ])('reads %s', (text, mm) => expect(mmOf(text)).toBeCloseTo(mm, 9));

  it('takes a plain number in the unit in use, and a fraction in inches whatever that is', () => {
    expect(mmOf('8', 'cm')).toBe(80);
    expect(mmOf('1 1/2', 'cm')).toBeCloseTo(38.1, 9);
  });

  it.each([
    ['', /type/i],
    ['wide', /“wide” is not a length/],
    ['10 km', /“km” is not a unit/],
    ['1/0 in', /divides by zero/],
    ['3 4 in', /two numbers/],
    ['NaN', /not a length/],
    ['1e9', /not a/],
  ])('says what is wrong with “%s” and how to mend it', (text, message) => expect(mmOf(text)).toMatch(message));

  it('never throws and never yields a number that is not finite', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const parsed = parseLength(text);
        return parsed.ok ? Number.isFinite(parsed.mm) : parsed.message.length > 0;
      }),
    );
  });
});

describe('writing a length', () => {
  it('comes back the same to within half of what is shown, in every unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), fc.constantFrom(...LENGTH_UNITS), (mm, unit) => {
        const parsed = parseLength(formatLength(mm, unit));
        expect(parsed.ok && Math.abs(parsed.mm - mm)).toBeLessThanOrEqual(SHOWN_STEP_MM[unit] / 2 + 1e-9);
        expect(parsed.ok && parsed.unit).toBe(unit);
      }),
    );
  });

  it('reads a tape beyond a metre in centimetres, and leaves inches inches', () => {
    expect([1247, 999, 1000].map((mm) => formatOnTape(mm))).toEqual(['125 cm', '999 mm', '100 cm']);
    expect(formatOnTape(1270, 'in')).toBe('50 in');
  });

  it('writes inches in sixteenths at the finest', () => {
    expect(formatLength(MM_PER.in * 3.25, 'in')).toBe('3 1/4 in');
    expect(formatLength(MM_PER.in / 16, 'in')).toBe('1/16 in');
    expect(formatLength(MM_PER.in * 2, 'in')).toBe('2 in');
    expect(formatLength(-0.01)).toBe('0 mm');
  });
});
