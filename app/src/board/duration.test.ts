import fc from 'fast-check';
import { duration } from './duration';

/** Minutes that a time in words comes to. */
function minutesIn(text: string): number {
  const [, hours = '0'] = /(\d+) h/.exec(text) ?? [];
  const [, minutes = '0'] = /(\d+) min$/.exec(text) ?? /h (\d+)$/.exec(text) ?? [];
  return 60 * Number(hours) + Number(minutes);
}

describe('a time in words', () => {
  const span = fc.double({ min: 1, max: 6000, noNaN: true });

  it('is the time, to the nearest five minutes, and five at the least', () => {
    fc.assert(
      fc.property(span, (minutes) => {
        expect(Math.abs(minutesIn(duration(minutes)) - Math.max(5, minutes))).toBeLessThanOrEqual(2.5 + 1e-9);
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
    [1, '5 min'],
    [50, '50 min'],
    [58, '1 h'],
    [130, '2 h 10'],
    [600, '10 h'],
  ])('%d minutes are %s', (minutes, words) => expect(duration(minutes)).toBe(words));
});
