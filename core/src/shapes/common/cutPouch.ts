import type { CutRow, Part } from '../../drawing/parts';

interface CutWish {
  /** The thing as it stands in it. */
  D: number;
  H: number;
  t: number;
  /** How far the front reaches up from the bottom, and the back. */
  front: number;
  back: number;
  /** How far a flap comes down in front. */
  flap?: number;
  /** What the cut meets from the front's upper edge to the back's, and on over the flap. */
  rows: { around: readonly CutRow[]; over?: readonly CutRow[] };
}

/**
 * A pouch cut through from front to back: the fabric's middle line round the thing, as thick as it is. The front is at
 * the left; x 0 is the front's middle line, or the outside of the flap that hangs over it; y 0 the highest edge.
 */
export function cutPouch({ D, H, t, front, back, flap, rows }: CutWish): {
  parts: Part[];
  width: number;
  height: number;
} {
  const high = Math.max(front, back, H) + t;
  const lift = flap === undefined ? 0 : 1.5 * t;
  // what hangs in front of the front belongs to the drawing, so that its dimension keeps clear of it
  const near = flap === undefined ? 0 : lift + t / 2;
  const far = near + D + t;
  const y = (above: number) => high - above;
  const line: [number, number][] = [
    [near, y(front)],
    [near, high],
    [far, high],
    [far, y(back)],
  ];
  const over: [number, number][] =
    flap === undefined
      ? []
      : [
          [far, y(back)],
          [far, y(back) - t],
          [near - lift, y(back) - t],
          [near - lift, y(back) - t + flap],
        ];
  const parts: Part[] = [
    { type: 'cut', role: 'front', points: line, thickness: t, rows: rows.around },
    ...(over.length > 0
      ? [{ type: 'cut', role: 'flap', points: over, thickness: t, rows: rows.over ?? [] } as const]
      : []),
    { type: 'thing', x: near + t / 2, y: high - t / 2 - H, w: D, h: H, r: Math.min(D, H) / 6 },
    { type: 'dimension', along: 'y', from: y(front), to: high, mm: front },
    { type: 'dimension', along: 'x', from: near, to: far, mm: D + t },
  ];
  return { parts, width: far, height: high };
}
