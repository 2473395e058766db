import fc from 'fast-check';
import { coursesSeen, ridgeAid } from './ridges';

it.each([
  ['single', 'rows', 'ridges', 2],
  ['single-back-loop', 'rows', 'ridges', 2],
  ['spike', 'rows', 'ridges', 2],
  ['half-double', 'rows', 'rows', 1],
  ['double', 'rows', 'rows', 1],
  ['single', 'rounds', 'rounds', 1],
] as const)('%s in %s is counted by its %s', (stitch, worked, sees, each) => {
  expect(ridgeAid(stitch, worked)).toEqual({ sees, each });
});

it('ridges and the edge the hook hangs at tell every count of rows, each in one way', () => {
  fc.assert(
    fc.property(fc.nat(400), (rows) => {
      const aid = ridgeAid('single', 'rows');
      // the first row ends above the tail of a chain, the second at the other edge, and so by turns
      expect(coursesSeen(aid, Math.floor(rows / 2), rows % 2 === 1)).toBe(rows);
      expect(coursesSeen(ridgeAid('double', 'rows'), rows, rows % 2 === 1)).toBe(rows);
    }),
  );
});
