import type { Plan, Worked } from '@keep-snug/core';
import { portraitSvg } from '@keep-snug/core/paper';
import { portraitOf } from '@keep-snug/core/portrait';
import { svgToPng } from '@/platform/svgToPng';

/** Of a picture that is handed on, px: large enough to count its stitches. */
const SIDE = 1600;
const CHALK = '#F4F6F2';

/** The finished piece from the front, as a picture to send. */
export function portraitPng(plan: Plan, worked: Worked, hand: 'left' | 'right'): Promise<Blob> {
  const { sides, paint } = portraitOf(plan, worked, hand);
  const side = sides[0]!;
  const size = { width: SIDE, height: SIDE };
  return svgToPng(portraitSvg(paint(side, 'sent-'), size, side.text), size, CHALK);
}
