import type { FieldValues } from '../../base/units';
import type { Cloth, DrawnRound, Run } from '../parts';
import { extentAt, type Extent } from './extent';
import type { SideCloth } from './types';
import type { Paint } from './paint';

export interface Box {
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

/** Rows as wide as they are drawn in, each by itself; those below as they were. */
function gathered(part: SideCloth, bands: readonly PortraitBand[]): PortraitBand[] {
  const { gather } = part;
  if (!gather) return [...bands];
  return bands.flatMap((band): PortraitBand[] => {
    const { box, rows, first } = band;
    if (box.y >= gather.from) return [band];
    const high = box.h / rows;
    return Array.from({ length: rows }, (_, index): PortraitBand => {
      const y = part.rows.down ? box.y + index * high : box.y + box.h - (index + 1) * high;
      return { ...band, rows: 1, first: first + index, box: { ...widest(part, y, high), y, h: high } };
    });
  });
}

/** What a row covers of it: as far as it reaches at all. */
function widest(part: SideCloth, y: number, high: number): Extent {
  const [top, low] = [extentAt(part, y), extentAt(part, y + high)];
  return top.w > low.w ? top : low;
}

/** Pressed out by what it holds: as wide as it is where that is most. */
function pressedOut({ bow = 0, x, w }: SideCloth, band: PortraitBand): PortraitBand {
  if (bow === 0) return band;
  const [by, middle] = [1 + (2 * bow) / w, x + w / 2];
  return { ...band, box: { ...band.box, x: middle + by * (band.box.x - middle), w: by * band.box.w } };
}

/** Its rows as far as they are made. */
export function bandsMade(part: SideCloth, paint: Paint): PortraitBand[] {
  const all = gathered(part, bandsSeen(part, paint));
  const made = paint.weave.madeOf?.(part.role);
  if (made === undefined) return all.map((band) => pressedOut(part, band));
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
