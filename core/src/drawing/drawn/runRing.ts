import type { Cloth, Run } from '../parts';
import { px } from './layout';

/** A round of a yarn that repeats, each of its runs as far round as its stitches reach. */
export function runRing(
  part: Cloth,
  scale: number,
  runs: readonly Run[],
  [outer, inner]: readonly [number, number],
): { tint: number; hex: string; d: string }[] {
  const all = runs.reduce((sum, { stitches }) => sum + stitches, 0);
  let done = 0;
  return runs.map(({ hex, stitches }) => {
    const from = done / all;
    done += stitches;
    const steps = Math.max(2, Math.ceil((stitches / all) * RING_STEPS));
    const shares = Array.from({ length: steps + 1 }, (_, step) => from + (step / steps) * (stitches / all));
    const edge = [
      ...shares.map((share) => onRing(part, scale, outer, share)),
      ...shares.reverse().map((share) => onRing(part, scale, inner, share)),
    ];
    return { tint: 0, hex, d: `M${edge.map(([x, y]) => `${px(x)} ${px(y)}`).join('L')}Z` };
  });
}

/** Corners that a whole round is drawn with. */
const RING_STEPS = 120;

/** A point of a round’s edge so far in from the outside, a share of its way round from the upper left on: ends are half circles. */
function onRing({ x, y, w, h, form }: Cloth, scale: number, inset: number, share: number): [number, number] {
  const [wide, high] = [Math.max(0, w * scale - 2 * inset), Math.max(0, h * scale - 2 * inset)];
  const [cx, cy] = [(x + w / 2) * scale, (y + h / 2) * scale];
  const r = form === 'rect' || form === undefined ? 0 : Math.min(wide, high) / 2;
  const [alongX, alongY] = [wide / 2 - r, high / 2 - r];
  // clockwise: a straight side, then the corner after it
  const sides = [
    { long: 2 * alongX, from: [-alongX, -high / 2], to: [alongX, -high / 2], about: [alongX, -alongY], turn: -90 },
    { long: 2 * alongY, from: [wide / 2, -alongY], to: [wide / 2, alongY], about: [alongX, alongY], turn: 0 },
    { long: 2 * alongX, from: [alongX, high / 2], to: [-alongX, high / 2], about: [-alongX, alongY], turn: 90 },
    { long: 2 * alongY, from: [-wide / 2, alongY], to: [-wide / 2, -alongY], about: [-alongX, -alongY], turn: 180 },
  ] as const;
  const corner = (Math.PI * r) / 2;
  let left = share * sides.reduce((sum, { long }) => sum + long + corner, 0);
  for (const { long, from, to, about, turn } of sides) {
    if (left <= long && long > 0) {
      const done = left / long;
      return [cx + from[0] + done * (to[0] - from[0]), cy + from[1] + done * (to[1] - from[1])];
    }
    left -= long;
    if (left <= corner && corner > 0) {
      const angle = ((turn + (left / corner) * 90) * Math.PI) / 180;
      return [cx + about[0] + r * Math.cos(angle), cy + about[1] + r * Math.sin(angle)];
    }
    left -= corner;
  }
  return [cx + sides[0].from[0], cy + sides[0].from[1]];
}
