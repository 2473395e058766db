import { xmlText } from './xmlText';

/** A number as SVG writes it, to a thousandth. */
export const n = (value: number): string => String(Number(value.toFixed(3)));

/** What an element is given, by the names it is written with. */
export type XmlValues = Readonly<Record<string, string | number>>;

/** An element with its attributes and what is in it; every value is escaped, numbers are rounded. */
export function element(name: string, values: XmlValues, inside = ''): string {
  const attributes = Object.entries(values)
    .map(([key, value]) => ` ${key}="${typeof value === 'number' ? n(value) : xmlText(value)}"`)
    .join('');
  return inside === '' ? `<${name}${attributes}/>` : `<${name}${attributes}>${inside}</${name}>`;
}
