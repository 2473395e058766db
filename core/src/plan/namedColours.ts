import { mainColour, stripeColours } from '../craft/fabric';
import type { Plan } from './plan';

/** The options of a shape that name a colour say so in their names. */
const isColour = ([key, value]: [string, unknown]): boolean => /colour$/i.test(key) && typeof value === 'string';

/** Every colour that a plan names, the main one first: of rows, bands, pieces, fittings and parts. */
export function namedColours({ fabric, fittings = [], shape, palette = {} }: Plan): string[] {
  const named = [
    mainColour(fabric),
    ...stripeColours(fabric),
    ...(fabric.bands ?? []).map(({ colour }) => colour),
    ...Object.values(fabric.pieceColours ?? {}),
    ...fittings.flatMap(({ colour, topColour }) =>
      [colour, topColour].map((one) => (typeof one === 'string' ? one : undefined)),
    ),
    ...Object.entries(shape)
      .filter(isColour)
      .map(([, value]) => String(value).trim()),
    ...Object.keys(palette),
  ];
  return [...new Set(named.filter((name): name is string => Boolean(name)))];
}
