import { COLOURS, type Colours } from './colours';

/** Relative luminance of an sRGB colour, as WCAG 2 defines it. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((at) => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** Every colour that words are written in, with every ground it is written on. */
const words = (c: Colours): [what: string, ink: string, ground: string][] => [
  ...(['ink', 'faint', 'sea', 'lichen', 'rowan', 'thread'] as const).flatMap((ink) =>
    (['chalk', 'surface'] as const).map((ground): [string, string, string] => [
      `${ink} on ${ground}`,
      c[ink],
      c[ground],
    ]),
  ),
  ['rowan on its wash', c.rowan, c.rowanWash],
  ['ink on the rowan wash', c.ink, c.rowanWash],
  ['ink on the tape', c.tapeInk, c.tape],
  ['words on sea', c.onSea, c.sea],
  ['words on the slab', c.onSlab, c.slab],
  ['faint words on the slab', c.onSlabFaint, c.slab],
  ...c.yarns.map((ground, index): [string, string, string] => [`ink on tint ${index + 2}`, c.ink, ground]),
  ...Object.entries(c.cloth).map(([role, ground]): [string, string, string] => [`ink on ${role}`, c.ink, ground]),
];

describe.each(Object.entries(COLOURS))('in %s', (_, colours) => {
  it.each(words(colours))('%s can be read', (_what, ink, ground) => {
    expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5);
  });

  it.each(Object.entries(colours.cloth))('marks can be seen on %s', (_role, ground) => {
    expect(contrast(colours.hatch, ground)).toBeGreaterThanOrEqual(3);
  });
});

it('contrast is what the standard says it is', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 6);
  expect(contrast('#777777', '#FFFFFF')).toBeCloseTo(4.48, 2);
});
