import fc from 'fast-check';
import { formatCut, formatDifference, formatKnown, roundedAmount, shownStep } from './known';
import { formatLeast, formatMost, parseLength } from './length';

it.each([
  [94.2, 2.6, '94 mm', '9.4 cm', '3 3/4 in'],
  [430.4, 12, '430 mm', '43 cm', '17 in'],
  [174.8, 5.5, '175 mm', '17.5 cm', '7 in'],
  [204.5, 33, '200 mm', '20 cm', '8 in'],
  [477.2, 60, '500 mm', '50 cm', '19 in'],
  [166.4, 21, '170 mm', '17 cm', '7 in'],
])('%d ± %d is shown no finer than it is known', (mm, sd, inMm, inCm, inInches) => {
  expect([formatKnown(mm, sd), formatKnown(mm, sd, 'cm'), formatKnown(mm, sd, 'in')]).toEqual([inMm, inCm, inInches]);
});

it('what is shown is off by half a step at most, and a step is never larger than the uncertainty', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 3000, noNaN: true }),
      fc.double({ min: 0.1, max: 80, noNaN: true }),
      fc.constantFrom('mm' as const, 'cm' as const, 'in' as const),
      (mm, sd, unit) => {
        const shown = parseLength(formatKnown(mm, sd, unit), unit);
        const step = shownStep(sd, unit);
        expect(shown.ok && Math.abs(shown.mm - mm)).toBeLessThanOrEqual(step / 2 + 0.051);
        if (unit !== 'in') expect(step).toBeLessThanOrEqual(Math.max(1, sd));
      },
    ),
  );
});

it('a difference below half its uncertainty is nothing', () => {
  expect(formatDifference(-0.6, 6.1)).toBe('within 5 mm');
  expect(formatDifference(8.2, 3)).toBe('+8 mm');
  expect(formatDifference(-8.2, 3)).toBe('−8 mm');
});

it('what is cut is long enough', () => {
  expect([formatCut(525), formatCut(1247), formatCut(520), formatCut(525, 'in')]).toEqual([
    '530 mm',
    '125 cm',
    '520 mm',
    '21 in',
  ]);
});

it('an amount of yarn is about right', () => {
  expect([57, 32, 8.4, 0.2, 143].map(roundedAmount)).toEqual([60, 30, 8, 1, 140]);
});

it('a limit is never told beyond what it is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 900, noNaN: true }),
      fc.constantFrom('mm' as const, 'in' as const),
      (mm, unit) => {
        const of = (text: string) => {
          const read = parseLength(text, unit);
          return read.ok ? read.mm : NaN;
        };
        expect(of(formatMost(mm, unit))).toBeLessThanOrEqual(mm + 1e-3);
        expect(of(formatLeast(mm, unit))).toBeGreaterThanOrEqual(mm - 1e-3);
        expect(of(formatLeast(mm, unit)) - of(formatMost(mm, unit))).toBeLessThan(4);
      },
    ),
  );
  expect([formatMost(56.9), formatLeast(56.1), formatMost(57), formatLeast(57)]).toEqual([
    '56 mm',
    '57 mm',
    '57 mm',
    '57 mm',
  ]);
});
