import { ink, mm, type InkNode } from './ink';
import type { Paint } from './paint';
import { SHADOW } from './tones';

/** A cord, a strap’s edge or a chain along a path: twisted yarn with its light and its shadow. */
export function rope(d: string, wide: number, hex: string, paint: Paint, shadow = true): InkNode[] {
  const tones = paint.tonesOf({ hex });
  const line = (stroke: string, share: number, more: Record<string, string | number> = {}) =>
    ink('path', {
      d,
      fill: 'none',
      stroke,
      strokeWidth: mm(wide * share),
      strokeLinecap: 'round',
      strokeLinejoin: 'round',
      ...more,
    });
  const ply = (on: number, off: number) => ({
    strokeLinecap: 'butt',
    strokeDasharray: `${mm(on * wide)} ${mm(off * wide)}`,
  });
  return [
    ...(shadow
      ? [line(SHADOW, 1.5, { opacity: 0.22, transform: `translate(${mm(wide * 0.18)} ${mm(wide * 0.3)})` })]
      : []),
    line(tones.deep, 1.18),
    line(tones.body, 0.94),
    line(tones.deep, 0.94, { ...ply(0.16, 0.62), opacity: 0.5 }),
    line(tones.light, 0.3, { ...ply(0.4, 0.38), opacity: 0.65 }),
  ];
}
