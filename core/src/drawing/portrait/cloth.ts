import type { FieldValues } from '../../base/units';
import { runRing } from '../drawn/runRing';
import type { Cloth, DrawnRound, Run } from '../parts';
import type { SideCloth } from './sides';
import { ink, mm, roundedBox, type InkNode } from './ink';
import type { Paint } from './paint';
import type { YarnTile } from './tile';

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** Rows of one stitch and colour, as a box of the cloth. */
export interface PortraitBand {
  stitch: string;
  pattern: FieldValues | undefined;
  hex: string;
  rows: number;
  /** Which row of its piece is the first of them. */
  first: number;
  /** Stitches seen in a row of it. */
  stitches: number;
  box: Box;
  runs?: readonly Run[];
}

/** How a shape of cloth is edged, in widths of a stitch: corners a hook leaves are never sharp (ours, by eye). */
const CORNER = 1.1;

/** A part of the fabric in yarn. */
export function clothInYarn(part: SideCloth, paint: Paint): InkNode[] {
  if (part.rows.stacked === 'out') return roundsFrom(part, paint);
  const outline = outlineOf(part, paint.weave.stitchMm);
  const bands = bandsMade(part, paint);
  if (bands.length === 0) return [];
  const made =
    paint.weave.madeOf === undefined
      ? outline
      : bands.map(({ box }) => roundedBox(box.x, box.y, box.w, box.h, 0)).join('');
  const shades = (['across', 'down'] as const).map((way) => ink('path', { d: made, fill: paint.shade(way) }));
  const isTaper = part.form === 'taper';
  const isOpen = paint.weave.tileOf(paint.weave.stitch, paint.weave.pattern, part.role).open;
  return [
    ...(isTaper || isOpen ? [] : [...bands.flatMap((band) => edgeOf(part, band, paint)), ...rimOf(part, bands, paint)]),
    paint.within(outline, [...bands.flatMap((band) => bandFill(part, band, paint)), ...shades]),
  ];
}

/** The cloth’s own outline as a path. */
export function outlineOf({ form = 'rect', x, y, w, h, top, bordered }: SideCloth, stitchMm: number): string {
  if (form === 'disc' || form === 'oval') return roundedBox(x, y, w, h, Math.min(w, h) / 2);
  if (form !== 'taper') return roundedBox(x, y, w, h, bordered ? 0 : CORNER * stitchMm);
  const inset = (w - (top ?? w)) / 2;
  return `M${mm(x + inset)} ${mm(y)}H${mm(x + w - inset)}L${mm(x + w)} ${mm(y + h)}H${mm(x)}Z`;
}

/** Where fabric is still to come. */
export function clothAhead(part: SideCloth, { weave }: Paint): InkNode {
  const w = weave.stitchMm;
  const d = outlineOf(part, w);
  return ink('path', {
    d,
    fill: '#8C999C',
    fillOpacity: 0.12,
    stroke: '#8C999C',
    strokeWidth: mm(0.22 * w),
    strokeDasharray: `${mm(0.9 * w)} ${mm(0.6 * w)}`,
  });
}

/** Its rows as far as they are made. */
function bandsMade(part: Cloth, paint: Paint): PortraitBand[] {
  const all = bandsSeen(part, paint);
  const made = paint.weave.madeOf?.(part.role);
  if (made === undefined) return all;
  return all.flatMap((band): PortraitBand[] => {
    const rows = Math.min(band.rows, made - band.first + 1);
    if (rows <= 0) return [];
    const share = rows / band.rows;
    return [{ ...band, rows, box: startOf(part, band.box, share) }];
  });
}

/** The share of a stretch of rows that is worked first. */
function startOf({ rows }: Cloth, { x, y, w, h }: Box, share: number): Box {
  if (rows.stacked === 'x') return { x, y, w: share * w, h };
  return { x, y: rows.down ? y : y + (1 - share) * h, w, h: share * h };
}

/** Its rows as they are stacked, band by band: what counts stitches in a portrait counts these. */
export function bandsSeen(part: Cloth, paint: Pick<Paint, 'weave' | 'hexOf'>): PortraitBand[] {
  const { rows } = part;
  const { weave } = paint;
  if (rows.rounds) return roundBands(part, rows.rounds, paint);
  const plain = { stitch: weave.stitch, pattern: weave.pattern, stitches: rows.stitches };
  const first = rows.first ?? 1;
  if (!rows.bands)
    return [
      {
        ...plain,
        hex: paint.hexOf(part),
        rows: rows.count,
        first,
        box: { x: part.x, y: part.y, w: part.w, h: part.h },
      },
    ];
  const whole = rows.bands.reduce((sum, { mm: long }) => sum + long, 0);
  let [done, row] = [0, first];
  return rows.bands.map((band): PortraitBand => {
    const share = band.mm / whole;
    const box = stretchOf(part, done, share);
    const at = row;
    done += share;
    row += band.rows;
    return {
      stitch: band.stitch,
      pattern: band.pattern,
      stitches: rows.stitches,
      hex: band.hex ?? paint.hexOf(part),
      rows: band.rows,
      first: at,
      box,
      ...(band.runs ? { runs: band.runs } : {}),
    };
  });
}

/** A share of the cloth in the direction its rows are stacked in, from its first row on. */
function stretchOf({ x, y, w, h, rows }: Cloth, from: number, share: number): Box {
  if (rows.stacked === 'x') return { x: x + from * w, y, w: share * w, h };
  if (rows.down) return { x, y: y + from * h, w, h: share * h };
  return { x, y: y + (1 - from - share) * h, w, h: share * h };
}

function roundBands(part: Cloth, rounds: readonly DrawnRound[], paint: Pick<Paint, 'weave' | 'hexOf'>): PortraitBand[] {
  return rounds.map((round, index): PortraitBand => {
    const box = stretchOf(part, index / rounds.length, 1 / rounds.length);
    const inset = part.form === 'taper' ? ((part.w - (part.top ?? part.w)) / 2) * ((index + 0.5) / rounds.length) : 0;
    return {
      stitch: round.stitch,
      pattern: undefined,
      hex: round.hex ?? paint.hexOf(part),
      rows: 1,
      first: index + 1,
      stitches: round.count,
      box: { ...box, x: box.x + inset, w: box.w - 2 * inset },
      ...(round.runs ? { runs: round.runs } : {}),
    };
  });
}

/** How high so many rows of a repeat are from one of them on, in columns, and how high what lies below them. */
function reachIn({ floors, rows, high }: YarnTile, first: number, count: number): { below: number; high: number } {
  const upTo = (row: number) => Math.floor(row / rows) * high + (row % rows === 0 ? 0 : floors[(row % rows) - 1]!);
  const before = (first - 1) % rows;
  return { below: upTo(before), high: upTo(before + count) - upTo(before) };
}

/** A band laid out in tiles, in its own columns and rows: stretched to just as many as there are. */
function bandFill(part: Cloth, band: PortraitBand, paint: Paint): InkNode[] {
  const tile = paint.weave.tileOf(band.stitch, band.pattern, part.role);
  const { below, high } = reachIn(tile, band.first, band.rows);
  const { x, y, w, h } = band.box;
  const along = part.rows.stacked === 'x';
  const [wide, tall] = along ? [h, w] : [w, h];
  const [sx, sy] = [wide / band.stitches, tall / high];
  const placed = along
    ? `translate(${mm(x - below * sy)} ${mm(y)}) rotate(90)`
    : part.rows.down
      ? `translate(${mm(x + w)} ${mm(y - below * sy)}) rotate(180)`
      : `translate(${mm(x)} ${mm(y + h + below * sy)})`;
  const transform = `${placed} scale(${fine(sx)} ${fine(sy)})`;
  const fillWith = (hex: string) => paint.tile(tile, hex);
  const stretch = (from: number, to: number, hex: string) =>
    ink('rect', {
      x: fine(from),
      y: fine(-below - high),
      width: fine(to - from),
      height: fine(high),
      fill: fillWith(hex),
    });
  if (!band.runs) return [ink('g', { transform }, [stretch(0, band.stitches, band.hex)])];
  const all = band.runs.reduce((sum, { stitches }) => sum + stitches, 0);
  let done = 0;
  const runs = band.runs.map(({ hex, stitches }) => {
    const from = done;
    done += (stitches / all) * band.stitches;
    return stretch(from, done, hex);
  });
  return [ink('g', { transform }, runs)];
}

const fine = (value: number): number => Math.round(value * 1000) / 1000;

/** How far what is worked at an edge stands out, in its own size (ours, by eye). */
const STANDS_OUT = 0.62;

/** Ends of rows at both sides of a band, as they bulge: one bead a row, half of it under the fabric. */
function edgeOf(part: Cloth, { box: { x, y, w, h }, rows, stitches, hex }: PortraitBand, paint: Paint): InkNode[] {
  const along = part.rows.stacked === 'x';
  const step = (along ? w : h) / rows;
  const stitch = (along ? h : w) / stitches;
  const wide = STANDS_OUT * Math.min(step, 1.2 * stitch);
  const inset = wide * 0.24;
  // a corner is round: the bead that would stand on it is left out
  const corner = CORNER * paint.weave.stitchMm;
  const [start, end] = along
    ? [x <= part.x + 0.01, x + w >= part.x + part.w - 0.01]
    : [y <= part.y + 0.01, y + h >= part.y + part.h - 0.01];
  const skip = Math.ceil((0.6 * corner) / step);
  const from = (along ? x : y) + step * (0.5 + (start ? skip : 0));
  const to = (along ? x + w : y + h) - step * (0.4 + (end ? skip : 0));
  if (to <= from) return [];
  const d = along
    ? `M${mm(from)} ${mm(y + inset)}H${mm(to)}M${mm(from)} ${mm(y + h - inset)}H${mm(to)}`
    : `M${mm(x + inset)} ${mm(from)}V${mm(to)}M${mm(x + w - inset)} ${mm(from)}V${mm(to)}`;
  return beads(d, step, wide, hex, paint);
}

/** The edge that is seen from the front: the mouth’s, or the end of a flap: one bead a stitch. */
function rimOf(part: SideCloth, bands: readonly PortraitBand[], paint: Paint): InkNode[] {
  const { x, y, w, h } = part;
  if (!part.rim) return [];
  const isLow = part.rim === 'low';
  const band = bands.find(({ box }) => (isLow ? box.y + box.h >= y + h - 0.01 : box.y <= y + 0.01)) ?? bands[0]!;
  const stitch = band.box.w / band.stitches;
  const wide = 0.66 * stitch;
  const corner = CORNER * paint.weave.stitchMm;
  const at = isLow ? y + h - wide * 0.2 : y + wide * 0.2;
  return beads(`M${mm(x + 0.7 * corner)} ${mm(at)}H${mm(x + w - 0.6 * corner)}`, stitch, wide, band.hex, paint);
}

/** Beads of yarn along a path, so far apart. */
export function beads(d: string, apart: number, wide: number, hex: string, paint: Paint): InkNode[] {
  const tones = paint.tonesOf({ hex });
  const dashes = {
    fill: 'none',
    strokeLinecap: 'round',
    strokeDasharray: `0.01 ${fine(Math.max(0.05, apart - 0.01))}`,
  };
  return [
    ink('path', { d, ...dashes, stroke: tones.deep, strokeWidth: fine(wide * 1.22) }),
    ink('path', { d, ...dashes, stroke: tones.shaded, strokeWidth: fine(wide) }),
    ink('path', { d, ...dashes, stroke: tones.body, strokeWidth: fine(wide * 0.6) }),
  ];
}

/** Rounds from the middle outwards as far as they are made. */
function roundsFrom(part: Cloth, paint: Paint): InkNode[] {
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
