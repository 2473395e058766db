import fc from 'fast-check';
import { WHOLE, zoomedAt } from './useZoom';

describe('looking into the drawing', () => {
  const px = fc.double({ min: -500, max: 500, noNaN: true });
  const factor = fc.double({ min: 0.2, max: 5, noNaN: true });

  it('leaves the point under the finger where it is', () => {
    fc.assert(
      fc.property(factor, factor, px, px, (first, second, x, y) => {
        const before = zoomedAt(WHOLE, first, { x: 10, y: 20 });
        const after = zoomedAt(before, second, { x, y });
        if (after.by === 1) return expect(after).toEqual(WHOLE);
        // the piece's own point under the finger, before and after
        expect((x - after.x) / after.by).toBeCloseTo((x - before.x) / before.by, 6);
        expect((y - after.y) / after.by).toBeCloseTo((y - before.y) / before.by, 6);
      }),
    );
  });

  it('never goes below the whole, nor past single stitches', () => {
    fc.assert(
      fc.property(fc.array(factor, { maxLength: 30 }), (factors) => {
        const { by } = factors.reduce((zoom, one) => zoomedAt(zoom, one, { x: 5, y: 5 }), WHOLE);
        expect(by).toBeGreaterThanOrEqual(1);
        expect(by).toBeLessThanOrEqual(40);
      }),
    );
  });
});
