import { cutStretches } from '../drawn/cutStretches';
import type { CutPart, RibbonPart, Part, ThingPart } from '../parts';
import { loopOf } from './loop';
import { ink, mm, roundedBox, type InkNode } from './ink';
import { clothInYarn } from './cloth';
import { beads } from './edges';
import type { Paint, Painter } from './paint';
import { rope } from './rope';
import { SHADOW } from './tones';
import type { SideCloth } from './types';

/** How wide a cord of chain is, in widths of a stitch (ours). */
const CORD = 0.75;

/** Narrower than this a strip is no fabric, in widths of a stitch (ours, by eye). */
const CHAIN_WIDE = 1.1;

/** What lies on the fabric, each as it is made. */
export const MARKS: { [Type in Exclude<Part['type'], 'cloth'>]: Painter<Type> } = {
  thing: (part, paint) => thingSeen(part, paint),
  loop: (part, paint) => rope(loopOf(part), CORD * paint.weave.stitchMm, paint.hexOf(part), paint),
  button: ({ x, y, diameter }) => buttonSeen(x, y, diameter / 2),
  line: (part, paint) => {
    const d = `M${mm(part.x1)} ${mm(part.y1)}L${mm(part.x2)} ${mm(part.y2)}`;
    const w = paint.weave.stitchMm;
    if (part.kind === 'cord') return rope(d, CORD * w, paint.hexOf(part), paint);
    if (part.kind === 'slot') return slotSeen(d, w, paint.tonesOf(part).deep);
    return seamSeen(d, w, paint.tonesOf(part));
  },
  dots: ({ points, diameter, ...part }, paint) => {
    const r = Math.max(0.3 * paint.weave.stitchMm, diameter / 2);
    const tones = paint.tonesOf(part);
    return points.flatMap(([x, y]) => [
      ink('circle', { cx: mm(x), cy: mm(y), r: mm(r), fill: SHADOW, opacity: 0.75 }),
      ink('circle', { cx: mm(x), cy: mm(y), r: mm(r), fill: 'none', stroke: tones.shaded, strokeWidth: mm(0.4 * r) }),
    ]);
  },
  border: (part, paint) => {
    const { x, y, w, h, depth, rounds } = part;
    const tones = paint.tonesOf(part);
    return rounds.flatMap(({ sides }, index) => {
      const out = (index + 0.5) * depth;
      const deep = (side: number) => (sides[side]! > 0 ? out : 0);
      const [left, right, top, low] = [x - deep(3), x + w + deep(1), y - deep(0), y + h + deep(2)];
      const ways = [
        { d: `M${mm(left)} ${mm(top)}H${mm(right)}`, long: right - left },
        { d: `M${mm(right)} ${mm(top)}V${mm(low)}`, long: low - top },
        { d: `M${mm(right)} ${mm(low)}H${mm(left)}`, long: right - left },
        { d: `M${mm(left)} ${mm(low)}V${mm(top)}`, long: low - top },
      ];
      return ways.flatMap(({ d, long }, side): InkNode[] => {
        const many = sides[side]!;
        if (many === 0) return [];
        const apart = long / many;
        const line = (stroke: string, wide: number) =>
          ink('path', { d, fill: 'none', stroke, strokeWidth: mm(wide), strokeLinecap: 'butt' });
        return [
          line(tones.deep, depth * 0.9),
          line(tones.shaded, depth * 0.6),
          ...beads(d, apart, Math.min(apart * 1.02, depth * 1.05), paint.hexOf(part), paint),
        ];
      });
    });
  },
  ribbon: (part, paint) => ribbonInYarn(part, paint),
  cut: (part, paint) => edgeOn(part, paint),
  fold: () => [],
  tail: () => [],
  words: () => [],
  dimension: () => [],
};

/** A strip that lies straight is fabric like any other: as many stitches and rows as it is wide and long. */
function upright({ way, wide, hex }: Pick<RibbonPart, 'way' | 'wide' | 'hex'>, { weave }: Paint): SideCloth {
  const ys = way.map(([, y]) => y);
  const [y, low] = [Math.min(...ys), Math.max(...ys)];
  const h = Math.max(0.1, low - y);
  const rows = {
    count: Math.max(1, Math.round(h / (0.88 * weave.stitchMm))),
    stacked: 'y' as const,
    stitches: Math.max(1, Math.round(wide / weave.stitchMm)),
  };
  return {
    type: 'cloth',
    role: 'pocket',
    x: way[0]![0] - wide / 2,
    y,
    w: wide,
    h,
    rows,
    label: '',
    sub: '',
    rim: 'top',
    ...(hex ? { hex } : {}),
  };
}

/** A strip of rows along its way: a ridge a row, darker at its edges. */
function ribbonInYarn({ way, wide, ...part }: RibbonPart, paint: Paint): InkNode[] {
  const [first, ...rest] = way.map(([x, y]) => `${mm(x)} ${mm(y)}`);
  const d = `M${first}C${rest.join(' ')}`;
  if (part.sewn) return SEWN[part.sewn](way, wide, paint, part);
  // one stitch wide it is seen stitch by stitch
  if (wide < CHAIN_WIDE * paint.weave.stitchMm) {
    const under = { fill: 'none', stroke: paint.tonesOf(part).deep, strokeWidth: mm(0.6 * wide) };
    return [
      ink('path', { d, ...under }),
      ...beads(d, 0.95 * paint.weave.stitchMm, 0.92 * wide, paint.hexOf(part), paint),
    ];
  }
  if (way.every(([x]) => Math.abs(x - way[0]![0]) < 0.01))
    return clothInYarn(upright({ way, wide, ...part }, paint), paint);
  const tones = paint.tonesOf(part);
  const row = 0.85 * paint.weave.stitchMm;
  const line = (stroke: string, width: number, more: Record<string, string | number> = {}) =>
    ink('path', { d, fill: 'none', stroke, strokeWidth: mm(width), ...more });
  return [
    line(SHADOW, wide * 1.06, { opacity: 0.2, transform: `translate(${mm(0.3 * row)} ${mm(0.5 * row)})` }),
    line(tones.deep, wide),
    line(tones.shaded, wide * 0.92, { strokeDasharray: `${mm(0.8 * row)} ${mm(0.2 * row)}` }),
    line(tones.body, wide * 0.8, { strokeDasharray: `${mm(0.66 * row)} ${mm(0.34 * row)}` }),
    line(tones.light, wide * 0.4, { strokeDasharray: `${mm(0.28 * row)} ${mm(0.72 * row)}`, opacity: 0.45 }),
  ];
}

type Sewn = (way: RibbonPart['way'], wide: number, paint: Paint, hue: { hex?: string }) => InkNode[];

/** Seams along a straight edge, as they are seen from outside. */
const SEWN: Readonly<Record<'whip' | 'mattress', Sewn>> = {
  /** Slanting over the edge, one for each stitch. */
  whip: (way, wide, paint, hue) => {
    const [[x, y], [toX, toY]] = [way[0]!, way.at(-1)!];
    const long = Math.hypot(toX - x, toY - y);
    const [alongX, alongY] = [(toX - x) / long, (toY - y) / long];
    const many = Math.max(1, Math.round(long / paint.weave.stitchMm));
    const at = (along: number, across: number) =>
      `${mm(x + alongX * along - alongY * across)} ${mm(y + alongY * along + alongX * across)}`;
    const step = long / many;
    const d = Array.from({ length: many }, (_, index) => {
      const mid = (index + 0.5) * step;
      return `M${at(mid - 0.2 * step, -wide / 2)}L${at(mid + 0.2 * step, wide / 2)}`;
    }).join('');
    const tones = paint.tonesOf(hue);
    const line = (stroke: string, share: number) =>
      ink('path', { d, fill: 'none', stroke, strokeWidth: mm(share * step), strokeLinecap: 'round' });
    return [line(tones.deep, 0.56), line(tones.shaded, 0.44), line(tones.body, 0.26)];
  },
  /** Drawn into the seam, both edges roll to each other: nothing is seen but a smooth round. */
  mattress: (way, wide, paint, hue) => {
    const [[x, y], [toX, toY]] = [way[0]!, way.at(-1)!];
    const d = `M${mm(x)} ${mm(y)}L${mm(toX)} ${mm(toY)}`;
    const tones = paint.tonesOf(hue);
    const step = 0.85 * paint.weave.stitchMm;
    const line = (stroke: string, share: number, dash?: string) =>
      ink('path', {
        d,
        fill: 'none',
        stroke,
        strokeWidth: mm(share * wide),
        ...(dash ? { strokeDasharray: dash } : {}),
      });
    return [line(tones.deep, 0.9), line(tones.shaded, 0.72, `${mm(0.86 * step)} ${mm(0.14 * step)}`)];
  },
};

/** What lies between front and back at the side: the same fabric, as wide as its stitches are. */
function sideCloth(part: CutPart, paint: Paint): InkNode {
  const { points, role } = part;
  const { stitch, pattern, stitchMm, tileOf } = paint.weave;
  const tile = tileOf(stitch, pattern, role);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs), Math.max(...ys)];
  const [wide, high] = [(Math.max(...xs) - left) / stitchMm, (low - Math.min(...ys)) / stitchMm];
  const transform = `translate(${mm(left)} ${mm(low)}) scale(${mm(stitchMm)})`;
  return ink('rect', {
    transform,
    y: -mm(high),
    width: mm(wide),
    height: mm(high),
    fill: paint.tile(tile, paint.hexOf(part)),
  });
}

/** Fabric seen on its edge: a bead a row, as thick as it is; what it closes in is seen as its side. */
function edgeOn(part: CutPart, paint: Paint): InkNode[] {
  const path = (points: CutPart['points']) => `M${points.map(([x, y]) => `${mm(x)} ${mm(y)}`).join('L')}`;
  const closes = part.role === 'front' || part.role === 'wall';
  const d = path(part.points);
  const side = closes
    ? [
        ink('path', { d: `${d}Z`, fill: paint.tonesOf(part).shaded }),
        paint.within(`${d}Z`, [sideCloth(part, paint)]),
        ink('path', { d: `${d}Z`, fill: paint.shade('across') }),
      ]
    : [];
  const row = 0.85 * paint.weave.stitchMm;
  const wide = part.thickness;
  const edges = cutStretches(part).flatMap(({ points, hex = paint.hexOf(part) }): InkNode[] => {
    const stretch = path(points);
    const under = { fill: 'none', stroke: paint.tonesOf({ hex }).deep, strokeWidth: mm(wide), strokeLinejoin: 'round' };
    return [ink('path', { d: stretch, ...under }), ...beads(stretch, row, 0.92 * wide, hex, paint)];
  });
  return [...side, ...edges];
}

function slotSeen(d: string, w: number, deep: string): InkNode[] {
  const line = (stroke: string, wide: number) =>
    ink('path', { d, fill: 'none', stroke, strokeWidth: mm(wide * w), strokeLinecap: 'round' });
  return [line(deep, 0.7), line(SHADOW, 0.42)];
}

/** Stitches of a needle. */
function seamSeen(d: string, w: number, { deep, light }: { deep: string; light: string }): InkNode[] {
  const line = (stroke: string, wide: number) =>
    ink('path', {
      d,
      fill: 'none',
      stroke,
      strokeWidth: mm(wide * w),
      strokeLinecap: 'round',
      strokeDasharray: `${mm(0.55 * w)} ${mm(0.55 * w)}`,
    });
  return [line(deep, 0.34), line(light, 0.16)];
}

/** Turned wood, with its two holes and the thread through them. */
function buttonSeen(x: number, y: number, r: number): InkNode[] {
  const disc = (cx: number, cy: number, radius: number, props: Record<string, string | number>) =>
    ink('circle', { cx: mm(cx), cy: mm(cy), r: mm(radius), ...props });
  return [
    disc(x + 0.08 * r, y + 0.16 * r, 1.04 * r, { fill: SHADOW, opacity: 0.35 }),
    disc(x, y, r, { fill: '#8A6A48', stroke: '#4E3A26', strokeWidth: mm(0.06 * r) }),
    disc(x, y, 0.74 * r, { fill: '#9C7A54', stroke: '#6B5136', strokeWidth: mm(0.05 * r) }),
    ink('path', {
      d: `M${mm(x - 0.68 * r)} ${mm(y - 0.5 * r)}A${mm(0.86 * r)} ${mm(0.86 * r)} 0 0 1 ${mm(x + 0.3 * r)} ${mm(y - 0.8 * r)}`,
      fill: 'none',
      stroke: '#FFFFFF',
      strokeWidth: mm(0.1 * r),
      strokeLinecap: 'round',
      opacity: 0.4,
    }),
    disc(x - 0.26 * r, y, 0.13 * r, { fill: '#2C2117' }),
    disc(x + 0.26 * r, y, 0.13 * r, { fill: '#2C2117' }),
    ink('path', {
      d: `M${mm(x - 0.26 * r)} ${mm(y)}H${mm(x + 0.26 * r)}`,
      stroke: '#EFE6D3',
      strokeWidth: mm(0.12 * r),
    }),
  ];
}

/** The thing itself: smooth and plain, so that it is told from yarn. */
function thingSeen({ x, y, w, h, r, outline }: ThingPart, paint: Paint): InkNode[] {
  const d = outline
    ? `M${outline.map(([a, b]) => `${mm(x + a)} ${mm(y + b)}`).join('L')}Z`
    : roundedBox(x, y, w, h, Math.max(r, 0.4));
  const rim = Math.max(0.3, Math.min(w, h) * 0.02);
  return [
    ink('path', { d, fill: '#6D7B82', stroke: '#343F45', strokeWidth: mm(rim) }),
    ink('path', { d, fill: paint.shade('across') }),
  ];
}
