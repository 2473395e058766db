import * as fc from 'fast-check';
import { thingInChains, workThing } from './index';

describe('an item counted in chains', () => {
  it('has the girth that the chains reach around, flat or round', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('flat', 'round'),
        fc.double({ min: 40, max: 900, noNaN: true }),
        fc.double({ min: 20, max: 600, noNaN: true }),
        fc.constantFrom(2, 10, 25),
        (form, girth, height, depth) => {
          const thing = workThing(thingInChains(form as 'flat' | 'round', { name: 'tin', girth, height, depth }));
          expect(Math.abs(thing.girth.value - girth)).toBeLessThan(0.5);
          expect(Math.abs(thing.height.value - height)).toBeLessThan(0.1);
          expect(thing.width.value).toBeGreaterThan(0);
        },
      ),
    );
  });
});
