import type { BorderPart } from '@keep-snug/core';
import { screen } from '@testing-library/react-native';
import { show } from '@/fixtures/show';
import type { Ink } from './lettering';
import { borderStitches } from './border';

const ink = { scale: 4, colours: { ink: '#000', surface: '#fff' } } as Ink;

const border = (stitch: BorderPart['rounds'][number]['stitch'], sides: readonly [number, number, number, number]) =>
  ({ type: 'border', x: 0, y: 0, w: 60, h: 60, depth: 5, rounds: [{ stitch, corner: 2, sides }] }) as const;

/** Signs set down in all of a drawing. */
function signsOf(part: BorderPart): number {
  show(<>{borderStitches(part, ink, 'it')}</>);
  const drawn = JSON.stringify(screen.toJSON());
  return [...drawn.matchAll(/"d":"([^"]*)"/g)].reduce((sum, [, d]) => sum + d!.split('M').length - 1, 0);
}

it('has a sign for every stitch along its sides and in the corners between them', () => {
  // two corners lie between three sides
  expect(signsOf(border('single', [0, 8, 11, 8]))).toBe(8 + 11 + 8 + 2 * 2);
});

it('of loops has a bow and a single for each', () => {
  expect(signsOf(border('loops', [12, 0, 0, 0]))).toBe(6 + 6);
});

it('is left out where its stitches would be too small to tell apart', () => {
  expect(borderStitches(border('single', [40, 0, 0, 0]), ink, 'it')).toBeNull();
});
