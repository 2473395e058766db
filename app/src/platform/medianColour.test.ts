import { medianColour } from './medianColour';

const pixels = (...hexes: string[]): Uint8ClampedArray =>
  Uint8ClampedArray.from(hexes.flatMap((hex) => [...[1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)), 255]));

describe('the colour of what is pointed at', () => {
  it('is that of most of it, whatever else lies there', () => {
    expect(medianColour(pixels('#1f6783', '#1f6783', '#1f6783', '#ffffff', '#101010'))).toBe('#1f6783');
  });

  it('is one that is there, and no mixture', () => {
    const there = ['#b3362b', '#35618e'];
    expect(there).toContain(medianColour(pixels(...there)));
  });

  it('lies in the middle of light and shade of one yarn', () => {
    expect(medianColour(pixels('#84271f', '#9b2e25', '#b3362b', '#bd4035', '#c64a3f'))).toBe('#b3362b');
  });
});
