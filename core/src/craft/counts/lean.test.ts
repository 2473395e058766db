import fc from 'fast-check';
import { leanAfter, shiftToFold } from './lean';

it('unturned rounds lean by about two stitches in five', () => {
  expect([0, 10, 41].map(leanAfter)).toEqual([0, 4, 16]);
});

it('what lies to the folds is moved to the nearer of them, as far as it may', () => {
  expect(shiftToFold(4, 40, 10, 10)).toBe(4);
  // the fold opposite has come nearer from behind
  expect(shiftToFold(36, 40, 10, 10)).toBe(-4);
  expect(shiftToFold(20, 40, 5, 7)).toBe(7);
  fc.assert(
    fc.property(fc.nat(200), fc.integer({ min: 4, max: 90 }), fc.nat(20), fc.nat(20), (lean, half, back, on) => {
      const shift = shiftToFold(lean, half, back, on);
      expect(shift).toBeGreaterThanOrEqual(-back);
      expect(shift).toBeLessThanOrEqual(on);
      const free = [lean % half, (lean % half) - half].filter((fold) => fold >= -back && fold <= on);
      if (free.length > 0) expect(free).toContain(shift);
    }),
  );
});
