import { element } from '../../base/units';
import type { InkNode } from './ink';
import type { Painted } from './portrait';

/** Properties that are written in SVG as they are in code; all others have a dash before each capital. */
const AS_THEY_ARE: readonly string[] = [
  'patternUnits',
  'patternTransform',
  'gradientUnits',
  'clipPathUnits',
  'viewBox',
];

const dashed = (name: string): string =>
  AS_THEY_ARE.includes(name) ? name : name.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** Painted elements as SVG text. */
export function inkSvg({ tag, props, children }: InkNode): string {
  const written = Object.fromEntries(Object.entries(props).map(([name, value]) => [dashed(name), value]));
  return element(tag, written, children.map(inkSvg).join(''));
}

/**
 * A portrait as an SVG picture of a size.
 *
 * @param size in any unit a picture may have; the shorter side is filled up with nothing
 */
export function portraitSvg({ box, nodes }: Painted, size: { width: number; height: number }, text: string): string {
  return element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: size.width,
      height: size.height,
      viewBox: `${box.x} ${box.y} ${box.width} ${box.height}`,
      role: 'img',
    },
    element('title', {}, text) + nodes.map(inkSvg).join(''),
  );
}
