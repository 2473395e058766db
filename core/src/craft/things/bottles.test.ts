import { workThing } from './index';

const round = (more: object) =>
  workThing({ kind: 'cylinder', height: { mm: 90 }, diameter: { mm: 102 }, ...more } as never).hazards;

it('a tin is no bottle; what is high, or holds so much, is one', () => {
  expect(round({})).toEqual([]);
  expect(round({ height: { mm: 240 }, diameter: { mm: 73 } })).toEqual(['bottle']);
  expect(round({ volumeMl: 500 })).toEqual(['bottle']);
});
