import fc from 'fast-check';
import { BOW, CROSS } from '../craft/fabric';
import { borderCourses, type Border } from '../piece';
import { borderSigns } from './borderSigns';

const along = (stitches: number): Border => ({
  do: 'border',
  id: 'rim',
  stitch: 'loops',
  courses: 1,
  path: [{ spans: [{ piece: 'front', edge: 'last', from: 1, to: stitches }], stitches, lies: { line: 'it' } }],
  closed: false,
});

it('loops are charted as many as are worked, each with its single', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 90 }), (stitches) => {
      const [course] = borderCourses(along(stitches), () => ({ kind: 'stitch', count: stitches, pitch: 5 }));
      const flat = JSON.stringify(course);
      const worked = borderSigns('loops', stitches);
      const loops = course!
        .flatMap(({ instructions }) => instructions)
        .reduce((sum, one) => sum + (one.do === 'repeat' ? one.times : 0), 0);
      expect(flat).toContain('single');
      expect(worked.filter((sign) => sign === BOW)).toHaveLength(loops || (stitches > 1 ? 1 : 0));
      expect(worked.filter((sign) => sign === CROSS)).toHaveLength(Math.ceil(stitches / 2));
    }),
  );
});
