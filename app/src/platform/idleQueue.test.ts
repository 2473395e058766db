import { queueIdle } from './idleQueue';

const moment = () => new Promise((resolve) => setTimeout(resolve));

jest.mock('./idle', () => ({ whenIdle: () => new Promise((resolve) => setTimeout(resolve)) }));

test('each has an idle moment of its own, in the order it was asked for', async () => {
  const seen: string[] = [];
  for (const name of ['a', 'b', 'c']) queueIdle(() => seen.push(name));
  expect(seen).toEqual([]);
  await moment();
  await moment();
  const early = seen.length;
  expect(early).toBeGreaterThan(0);
  expect(early).toBeLessThan(3);
  for (let turn = 0; turn < 6; turn += 1) await moment();
  expect(seen).toEqual(['a', 'b', 'c']);
});

test('who takes the asking back has no turn, and those who come later still have theirs', async () => {
  const seen: string[] = [];
  const takeBack = queueIdle(() => seen.push('left'));
  queueIdle(() => seen.push('stayed'));
  takeBack();
  for (let turn = 0; turn < 6; turn += 1) await moment();
  queueIdle(() => seen.push('late'));
  for (let turn = 0; turn < 6; turn += 1) await moment();
  expect(seen).toEqual(['stayed', 'late']);
});
