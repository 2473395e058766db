import { gatheredShare } from './gather';
import type { SideCloth } from './types';

/** From where to where fabric reaches at a height, mm. */
export interface Extent {
  x: number;
  w: number;
}

/** How far a cloth reaches there: less where a cord draws it in, more where what it holds presses it out. */
export function extentAt({ x, y, w, h, gather, bow = 0 }: SideCloth, at: number): Extent {
  const share = gather ? gatheredShare(gather, w, at) : 1;
  const from = pressedFrom({ y, gather });
  const along = Math.min(1, Math.max(0, (at - from) / (y + h - from)));
  const out = bow * 4 * along * (1 - along);
  return { x: x + (w * (1 - share)) / 2 - out, w: w * share + 2 * out };
}

/** From where down what it holds can press it out, mm: below where it is drawn in. */
export const pressedFrom = ({
  y,
  gather,
}: Pick<SideCloth, 'y'> & { gather?: SideCloth['gather'] | undefined }): number => gather?.from ?? y;

/** Whether its sides are anything but straight. */
export const isCurved = ({ gather, bow }: SideCloth): boolean => gather !== undefined || bow !== undefined;
