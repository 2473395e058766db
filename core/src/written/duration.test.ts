import fc from 'fast-check';
import { duration } from './amounts';

const PARTS: Readonly<Record<string, number>> = { '¼': 15, '½': 30, '¾': 45 };

/** Minutes that a time in words comes to. */
function minutesIn(text: string): number {
  const [, amount = '', part = '', unit] = /^(\d+)?([¼½¾])? (minutes|hours?)$/.exec(text)!;
  return unit === 'minutes' ? Number(amount) : 60 * Number(amount) + (PARTS[part] ?? 0);
}

describe('a time in words', () => {
  const span = fc.double({ min: 1, max: 6000, noNaN: true });

  it('is the time to a quarter of an hour, from two hours on to half an hour, and a quarter at the least', () => {
    fc.assert(
      fc.property(span, (minutes) => {
        const step = minutes < 120 ? 15 : 30;
        expect(Math.abs(minutesIn(duration(minutes)) - Math.max(15, minutes))).toBeLessThanOrEqual(step / 2 + 1e-9);
      }),
    );
  });

  it('is never shorter for a longer one', () => {
    fc.assert(
      fc.property(span, span, (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        expect(minutesIn(duration(less))).toBeLessThanOrEqual(minutesIn(duration(more)));
      }),
    );
  });

  it.each([
    [1, '15 minutes'],
    [52, '45 minutes'],
    [58, '1 hour'],
    [107, '1¾ hours'],
    [131, '2 hours'],
    [600, '10 hours'],
  ])('%d minutes are %s', (minutes, text) => {
    expect(duration(minutes)).toBe(text);
  });
});
