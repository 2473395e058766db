import fc from 'fast-check';
import { dayAfter, dayText, daysBetween, isDay, parseDay, weekdayOf } from './index';

const TODAY = '2026-11-27';

describe('a day as it is typed', () => {
  it.each([
    ['Saturday', '2026-11-28'],
    ['fri', '2026-11-27'],
    ['thu', '2026-12-03'],
    ['tomorrow', '2026-11-28'],
    ['5 Dec', '2026-12-05'],
    ['Dec 5', '2026-12-05'],
    ['Sat 5th December', '2026-12-05'],
    ['5 Dec. 2027', '2027-12-05'],
    ['2 Jan', '2027-01-02'],
    // a few days gone by it is still this year’s
    ['20 Nov', '2026-11-20'],
    ['2026-12-05', '2026-12-05'],
  ])('%s is %s', (text, day) => expect(parseDay(text, TODAY)).toBe(day));

  it.each(['', '5/12', '30 Feb', 'soon', '31 Novem 2026', 'm', '2026-02-30', '5 Xyz'])('%s is none', (text) =>
    expect(parseDay(text, TODAY)).toBeUndefined(),
  );

  it('is read back from how it is said', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20, max: 300 }), (ahead) => {
        const day = dayAfter(TODAY, ahead);
        expect(isDay(day)).toBe(true);
        expect(daysBetween(TODAY, day)).toBe(ahead);
        expect(parseDay(dayText(day), TODAY)).toBe(day);
        expect(weekdayOf(day)).toBe((4 + ((ahead % 7) + 7)) % 7);
      }),
    );
  });
});
