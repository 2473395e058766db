import { TERN_POINT } from '@keep-snug/core/demo';
import { reckon } from '@keep-snug/core';
import { lastsText, reachText } from './Supplies';

const phone = Object.values(TERN_POINT.plans).find(({ title }) => title === 'Field phone pouch')!;
const { outside } = reckon(phone);

it('tells how many the yarn makes, or how large a one', () => {
  expect(reachText(2.5, outside, 'mm')).toMatch(/^It makes 2 of these, or one of \d+\smm × \d+\smm, 9 times in 10\.$/);
  expect(reachText(0.25, outside, 'mm')).toMatch(/^It makes one of \d+\smm × \d+\smm, 9 times in 10\.$/);
  expect(reachText(1000, outside, 'mm')).toBe('It makes more than 100 of these, 9 times in 10.');
});

it('a quarter of the yarn makes one half as long and wide', () => {
  const sizes = (text: string) => [...text.matchAll(/(\d+)\smm/g)].map(([, mm]) => Number(mm));
  const [whole, half] = [1, 0.25].map((times) => sizes(reachText(times, outside, 'mm')));
  half!.forEach((mm, index) => expect(mm).toBeCloseTo(whole![index]! / 2, -1));
});

it('tells whether it lasts by its chance', () => {
  expect(lastsText(0.95)).toMatch(/enough yarn \(95 in 100\)/);
  expect(lastsText(0.2)).toMatch(/do not have enough/);
});
