import { element, n, xmlText, type XmlValues } from '../../base/units';

export { element, n };

/** Words at a place. */
export const words = (text: string, values: XmlValues): string => element('text', values, xmlText(text));

interface Sheet {
  title: string;
  /** What it shows, for those who cannot see it. */
  text: string;
  /** In mm, as it is printed. */
  width: number;
  height: number;
  /** Units of the drawing in one mm. */
  scale: number;
}

/** A whole SVG file around what is drawn: its title and its text inside, its size on paper in mm. */
export function svgFile({ title, text, width, height, scale }: Sheet, drawn: string): string {
  const named =
    element('title', {}, xmlText(title) || 'Drawing') + (text === '' ? '' : element('desc', {}, xmlText(text)));
  return `<?xml version="1.0" encoding="UTF-8"?>\n${element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: `${n(width)}mm`,
      height: `${n(height)}mm`,
      viewBox: `0 0 ${n(width * scale)} ${n(height * scale)}`,
    },
    named + drawn,
  )}\n`;
}
