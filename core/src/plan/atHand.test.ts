import { hookAtHandFor, hooksBeside, yarnsBeside } from './atHand';

const medium = { name: 'oat', metresPer100g: 190 };

it('hooks beside another are the nearest first, never itself, and none that is far', () => {
  expect(hooksBeside({ hooksMm: [3, 8, 4.5, 4, 5, 3] }, 4, 1)).toEqual([4.5, 3, 5]);
  expect(hooksBeside({}, 4, 1)).toEqual([]);
});

it('yarns beside another are the nearest in thickness first, without what is used up', () => {
  const yarns = [
    { name: 'thin', metresPer100g: 400 },
    { name: 'used up', metresPer100g: 195, gramsLeft: 0 },
    { name: 'oat', metresPer100g: 190 },
    { name: 'near', metresPer100g: 210 },
  ];
  const names = yarnsBeside({ yarns }, { stitch: 'single', hookMm: 4, yarn: medium }).map(({ name }) => name);
  expect(names).toEqual(['near', 'thin']);
});

it('a yarn goes on the hook that suits it, or on one at hand that is as good', () => {
  const suits = hookAtHandFor(medium, {});
  expect(hookAtHandFor(medium, { hooksMm: [suits + 0.25] })).toBe(suits + 0.25);
  expect(hookAtHandFor(medium, { hooksMm: [suits, suits + 0.25] })).toBe(suits);
  expect(hookAtHandFor(medium, { hooksMm: [suits + 2] })).toBe(suits);
});
