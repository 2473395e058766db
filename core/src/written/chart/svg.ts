import { wordText, type Schools } from '../../pattern';
import { xmlText } from '../../base/units';
import type { Chart } from './chart';

/** A stitch’s width in the picture, mm: large enough to be read on paper. */
const STITCH_MM = 6;
/** A line of the key, and of the title, in stitches. */
const LINE = 1.5;
const INK = '#17262E';
const FAINT = '#8A979C';

const ANCHOR = { left: 'end', right: 'start', middle: 'middle' } as const;

const n = (value: number): string => String(Number(value.toFixed(3)));

const words = (x: number, y: number, text: string, more = ''): string =>
  `<text x="${n(x)}" y="${n(y)}" ${more}>${xmlText(text)}</text>`;

/**
 * A chart as a picture of its own, with its title and the key of its signs: opened by any program that reads SVG.
 *
 * @param title what it is of
 * @returns SVG text, a stitch 6 mm wide
 * @source handbook 11 and 14
 */
export function chartSvg({ box, courses, key }: Chart, title: string, reads: Pick<Schools, 'terms' | 'units'>): string {
  const [x, y, w, h] = box;
  const [wide, high] = [Math.max(w, 16), h + LINE * (key.length + 2)];
  const rows = courses.map(({ row, signs, number, track }) =>
    [
      `<path d="${track}" stroke="${FAINT}" stroke-width="0.04"/>`,
      ...signs.map(
        (sign) => `<path d="${sign.d}" transform="translate(${n(sign.x)} ${n(sign.y)}) rotate(${n(sign.turn)})"/>`,
      ),
      words(number.x, number.y + 0.28, String(row), `text-anchor="${ANCHOR[number.side]}" class="word"`),
    ].join(''),
  );
  const keyed = key.map(({ symbol, technique }, index) => {
    const at = y + h + LINE * (index + 2);
    const name = technique ? wordText(technique.name, reads) : 'your own pattern';
    return `<path d="${symbol(0, 0, 0.9, 1)}" transform="translate(${n(x + 1)} ${n(at - 0.28)})"/>${words(x + 2, at, name, 'class="word"')}`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(wide * STITCH_MM)}mm" height="${n(high * STITCH_MM)}mm" viewBox="${[x, y - LINE, wide, high].map(n).join(' ')}">`,
    `<title>${xmlText(title)}</title>`,
    `<style>.word { font: 0.8px sans-serif; fill: ${INK}; stroke: none; }</style>`,
    words(x + 0.5, y - 0.4, title, 'class="word"'),
    `<g fill="none" stroke="${INK}" stroke-width="0.08" stroke-linecap="round" stroke-linejoin="round">`,
    ...rows,
    ...keyed,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
