import { pickUp } from '../craft/counts';
import { rhythmWords } from './rhythm';

it.each([
  [35, 31 / 35, 31, '[1 in each of the next 6, skip 1] 4 times, 1 in each of the last 7'],
  [16, 1.27, 20, '[1 in each of the next 3, 2 in the next] 4 times'],
  [35, 1.8, 63, '[2 in each of the next 4, 1 in the next] 7 times'],
  [30, 1, 30, '1 in each'],
  [9, 0.63, 6, '1 in each, but skip the 3rd, 5th and 8th'],
])('along %i row ends of %d comes to %i: %s', (rows, ratio, stitches, words) => {
  const found = pickUp(rows, ratio, 1);
  expect([found.stitches, rhythmWords(found.rhythm, 'skip')]).toEqual([stitches, words]);
});
