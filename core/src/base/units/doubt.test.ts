import * as fc from 'fast-check';
import { unitDoubt } from './doubt';
import { LENGTH_UNITS, parseLength } from './length';

const USUAL = [20, 600] as const;

describe('a number without its unit', () => {
  it.each([
    ['82', 'in', 'mm'],
    ['7.5', 'mm', 'cm'],
    ['16,4', 'mm', 'cm'],
    ['82', 'mm', undefined],
    ['3 1/4', 'in', undefined],
    ['82 in', 'mm', undefined],
    ['', 'mm', undefined],
    ['0', 'mm', undefined],
  ] as const)('%s read as %s was meant in %s', (text, unit, meant) => {
    expect(unitDoubt(text, unit, USUAL)).toBe(meant);
  });

  it('is questioned only where it is odd as read and usual as proposed', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), fc.constantFrom(...LENGTH_UNITS), (size, unit) => {
        const text = size.toFixed(1);
        const meant = unitDoubt(text, unit, USUAL);
        if (!meant) return;
        const [read, as] = [parseLength(text, unit), parseLength(text, meant)];
        expect(read.ok && read.mm >= USUAL[0] && read.mm <= USUAL[1]).toBe(false);
        expect(as.ok && as.mm >= USUAL[0] && as.mm <= USUAL[1]).toBe(true);
      }),
    );
  });
});
