import { runRing } from '../drawn/runRing';
import type { Cloth, DrawnRound } from '../parts';
import type { PortraitBand } from './bands';
import { bandFill, reachIn } from './fill';
import { fine, ink, mm, roundedBox, type InkNode } from './ink';
import { CORNER, outlineOf } from './outline';
import type { Paint } from './paint';

/** Rounds from the middle outwards as far as they are made. */
export function roundsFrom(part: Cloth, paint: Paint): InkNode[] {
  const made = paint.weave.madeOf?.(part.role);
  if (made === undefined || made >= part.rows.count) return roundsInYarn(part, paint);
  return [];
}

/** Rounds from the middle outwards: each a ring of as many stitches as it has, or four sides of a rectangle. */
function roundsInYarn(part: Cloth, paint: Paint): InkNode[] {
  const { rounds = [], high = Math.min(part.w, part.h) / 2 / part.rows.count } = part.rows;
  if (part.form !== 'disc' && part.form !== 'oval') return squareRounds(part, rounds, high, paint);
  const outline = outlineOf(part, paint.weave.stitchMm);
  const rings = rounds.flatMap((round, index): InkNode[] => {
    const inset = (rounds.length - 1 - index + 0.5) * high;
    const [w, h] = [Math.max(0.01, part.w - 2 * inset), Math.max(0.01, part.h - 2 * inset)];
    const d = roundedBox(part.x + inset, part.y + inset, w, h, Math.min(w, h) / 2);
    const long = 2 * Math.abs(w - h) + Math.PI * Math.min(w, h);
    if (round.runs)
      return runRing(part, 1, round.runs, [inset - high / 2, inset + high / 2]).map(({ hex, d: run }) =>
        ink('path', { d: run, fill: hex }),
      );
    return ringOf(d, long / Math.max(1, round.count), high, round.hex ?? paint.hexOf(part), paint);
  });
  return [
    ink('path', { d: outline, fill: paint.tonesOf(part).deep }),
    ...rings,
    ink('path', { d: outline, fill: paint.shade('across') }),
  ];
}

/** A round as a rope with one link a stitch. */
function ringOf(d: string, apart: number, high: number, hex: string, paint: Paint): InkNode[] {
  const tones = paint.tonesOf({ hex });
  const ring = (stroke: string, wide: number, more: Record<string, string | number> = {}) =>
    ink('path', { d, fill: 'none', stroke, strokeWidth: fine(high * wide), ...more });
  return [
    ring(tones.deep, 1),
    ring(tones.body, 0.86),
    ring(tones.deep, 0.86, { strokeDasharray: `${fine(0.14 * apart)} ${fine(0.86 * apart)}`, opacity: 0.6 }),
    ring(tones.light, 0.24, { strokeDasharray: `${fine(0.5 * apart)} ${fine(0.5 * apart)}`, opacity: 0.4 }),
  ];
}

/** Rounds about a rectangle: along each side its own stitches, met at mitred corners. */
function squareRounds(part: Cloth, rounds: readonly DrawnRound[], high: number, paint: Paint): InkNode[] {
  const { x, y, w, h, role } = part;
  const [cx, cy] = [x + w / 2, y + h / 2];
  const sides = [0, 1, 2, 3].map((side) => {
    const [long, deep] = side % 2 === 0 ? [w, h] : [h, w];
    const wedge = `M${mm(-long / 2)} ${mm(-deep / 2)}H${mm(long / 2)}L${mm(long / 2 - deep / 2)} 0H${mm(deep / 2 - long / 2)}Z`;
    const strips = rounds.map((round, index) => {
      const out = (rounds.length - 1 - index) * high;
      const span = long - 2 * out;
      const tile = paint.weave.tileOf(round.stitch, paint.weave.pattern, role);
      const many = Math.max(1, round.sides?.[side] ?? round.count / 4);
      const row = reachIn(tile, index + 1, 1);
      const [sx, sy] = [span / many, high / row.high];
      const transform = `translate(${mm(-span / 2)} ${mm(-deep / 2 + out + high + row.below * sy)}) scale(${fine(sx)} ${fine(sy)})`;
      const fill = paint.tile(tile, round.hex ?? paint.hexOf(part));
      return ink('rect', {
        y: fine(-row.below - row.high),
        width: fine(many),
        height: fine(row.high),
        transform,
        fill,
      });
    });
    return ink('g', { transform: `translate(${mm(cx)} ${mm(cy)}) rotate(${side * 90})` }, [
      paint.within(wedge, strips),
    ]);
  });
  const outline = roundedBox(x, y, w, h, CORNER * paint.weave.stitchMm);
  const shades = (['across', 'down'] as const).map((way) => ink('path', { d: outline, fill: paint.shade(way) }));
  const [innerW, innerH] = [w - 2 * rounds.length * high, h - 2 * rounds.length * high];
  const middle = { x: cx - innerW / 2, y: cy - innerH / 2, w: innerW, h: innerH };
  const band: PortraitBand = {
    stitch: paint.weave.stitch,
    pattern: paint.weave.pattern,
    hex: rounds[0]?.hex ?? paint.hexOf(part),
    rows: Math.max(1, Math.round(innerH / high)),
    first: 1,
    stitches: Math.max(1, innerW / paint.weave.stitchMm),
    box: middle,
  };
  const inside =
    innerW > 0 && innerH > 0 ? bandFill({ ...part, rows: { ...part.rows, stacked: 'y' } }, band, paint) : [];
  return [paint.within(outline, [...inside, ...sides, ...shades])];
}
