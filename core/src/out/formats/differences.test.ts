import { TERN_POINT } from '../../demo';
import { differencesOf } from './differences';

const [plan, other] = Object.values(TERN_POINT.plans) as [object, object];

it('are the places at which two versions are unlike, in the reader’s words and unit', () => {
  const mine = { title: 'Pouch', thing: { width: { mm: 78 }, tools: [{ grip: { mm: 4 } }] }, fit: { name: 'snug' } };
  const theirs = { title: 'Case', thing: { width: { mm: 82 }, tools: [] }, fit: { name: 'snug' } };
  expect(differencesOf(mine, theirs, 'cm')).toEqual([
    { path: 'title', where: 'Title', mine: 'Pouch', theirs: 'Case' },
    { path: 'thing.width.mm', where: 'Thing, width', mine: '7.8 cm', theirs: '8.2 cm' },
    { path: 'thing.tools[0].grip.mm', where: 'Thing, tools 1, grip', mine: '0.4 cm', theirs: 'nothing' },
  ]);
});

it('name days by their names, and what a name is of', () => {
  const [mine, theirs] = [{ week: [1, 2, 3, 4, 5, 6, 7] }, { week: [1, 2, 9, 4, 5, 6, 7] }];
  expect(differencesOf(mine, theirs, 'mm')).toMatchObject([{ where: 'Wednesday', mine: '3', theirs: '9' }]);
  expect(differencesOf({ fit: { name: 'snug' } }, { fit: { name: 'roomy' } }, 'mm')).toMatchObject([{ where: 'Fit' }]);
  // a thing has a name besides what it is
  expect(differencesOf({ thing: { name: 'a' } }, { thing: { name: 'b' } }, 'mm')).toMatchObject([
    { where: 'Thing, name' },
  ]);
});

it('are none between equals, and some between others, but never endless', () => {
  expect(differencesOf(plan, structuredClone(plan), 'mm')).toEqual([]);
  expect(differencesOf(plan, other, 'mm').length).toBeGreaterThan(3);
  expect(differencesOf(plan, other, 'mm').length).toBeLessThanOrEqual(12);
});
