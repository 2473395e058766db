import { stitchPattern, type ChartSymbol } from '../../craft/fabric';
import type { Cloth, RowBand } from '../parts';
import { px } from './layout';
import { runRing } from './runRing';

interface ClothBand {
  cloth: Cloth;
  symbols?: readonly (readonly ChartSymbol[])[];
  /** Which of the piece's colours it has, from 0. */
  tint?: number;
  /** How that looks, where it is known. */
  hex?: string;
  runs?: RowBand['runs'];
}

/** A section's bands as sections of their own; of one stitch it is itself. Rows stacked upwards begin at its bottom. */
export function clothBands(part: Cloth): ClothBand[] {
  const { bands, ...rows } = part.rows;
  if (!bands) return [{ cloth: part }];
  const whole = bands.reduce((sum, { mm }) => sum + mm, 0);
  let done = 0;
  return bands.map(({ stitch, pattern, rows: count, mm, tint = 0, hex, runs }) => {
    const share = mm / whole;
    const from = done;
    done += share;
    const place =
      rows.stacked === 'x'
        ? { x: part.x + from * part.w, w: share * part.w }
        : { y: part.y + (rows.down ? from : 1 - done) * part.h, h: share * part.h };
    const { symbols } = stitchPattern(stitch, pattern);
    return {
      cloth: { ...part, ...place, rows: { ...rows, count } },
      symbols,
      tint,
      ...(hex ? { hex } : {}),
      ...(runs ? { runs } : {}),
    };
  });
}

/** The corners of a piece that narrows upwards, px, from its upper left on. */
export function taperCorners({ x, y, w, h, top }: Cloth, scale: number): (readonly [number, number])[] {
  const inset = (w - (top ?? w)) / 2;
  const corners = [
    [x + inset, y],
    [x + w - inset, y],
    [x + w, y + h],
    [x, y + h],
  ] as const;
  return corners.map(([across, down]) => [across * scale, down * scale]);
}

/** Closer than this, lines of rows blur into grey, px. */
const ROWS_APART = 4;

/** Which rows are drawn, so that their lines stay apart; from the first to the last but one. */
function shownRows(count: number, rowPx: number): number[] {
  const every = Math.max(1, Math.ceil(ROWS_APART / Math.max(0.01, rowPx)));
  return Array.from({ length: Math.max(0, Math.ceil(count / every) - 1) }, (_, index) => (index + 1) * every);
}

/** The rows of a section as lines, all in one path: a drawing is drawn anew at every movement of a hand. */
export function clothLines(part: Cloth, scale: number): string {
  if (part.rows.stacked === 'out') return ringLines(part, scale);
  if (part.form === 'taper') return rowLines(part, scale);
  // rows that are painted one by one need no lines between them
  const eachRow = part.rows.bands?.some(({ row }) => row !== undefined);
  return clothBands(part)
    .map(({ cloth }, index) => rowLines(cloth, scale) + (index > 0 && !eachRow ? firstLine(cloth, scale) : ''))
    .join('');
}

function rowLines({ x, y, w, h, top, form, rows }: Cloth, scale: number): string {
  const along = rows.stacked === 'x';
  const rowPx = ((along ? w : h) / rows.count) * scale;
  const shown = shownRows(rows.count, rowPx);
  if (along) {
    const [from, to] = [px(y * scale), px((y + h) * scale)];
    return shown.map((row) => `M${px(x * scale + row * rowPx)} ${from}V${to}`).join('');
  }
  const narrows = form === 'taper' && top !== undefined ? ((w - top) / 2) * scale : 0;
  return shown
    .map((row) => {
      const inset = narrows * (1 - row / rows.count);
      return `M${px(x * scale + inset)} ${px(y * scale + row * rowPx)}H${px((x + w) * scale - inset)}`;
    })
    .join('');
}

/** Where a band meets the one before it. */
function firstLine({ x, y, w, h, rows }: Cloth, scale: number): string {
  if (rows.stacked === 'x') return `M${px(x * scale)} ${px(y * scale)}V${px((y + h) * scale)}`;
  return `M${px(x * scale)} ${px((rows.down ? y : y + h) * scale)}H${px((x + w) * scale)}`;
}

/** Rounds from the middle outwards, as one path. */
function ringLines(part: Cloth, scale: number): string {
  const { rows } = part;
  const rowPx = (rows.high ?? Math.min(part.w, part.h) / 2 / rows.count) * scale;
  return shownRows(rows.count, rowPx)
    .map((row) => ringPath(part, scale, (rows.count - row) * rowPx))
    .join('');
}

/** The edge of a round so far in from the outside: upright ends joined by half circles where a round is round. */
function ringPath({ x, y, w, h, form }: Cloth, scale: number, inset: number): string {
  const [left, up] = [x * scale + inset, y * scale + inset];
  const [wide, high] = [Math.max(0, w * scale - 2 * inset), Math.max(0, h * scale - 2 * inset)];
  const r = form === 'rect' || form === undefined ? 0 : Math.min(wide, high) / 2;
  const corner = (dx: number, dy: number) => (r === 0 ? '' : `a${px(r)} ${px(r)} 0 0 1 ${px(dx)} ${px(dy)}`);
  return (
    `M${px(left + r)} ${px(up)}h${px(wide - 2 * r)}${corner(r, r)}v${px(high - 2 * r)}${corner(-r, r)}` +
    `h${px(2 * r - wide)}${corner(-r, -r)}v${px(2 * r - high)}${corner(r, -r)}`
  );
}

/** A ground in a colour of its own: which of the piece’s tints it has, how it looks where that is known, and its path. */
interface Ground {
  tint: number;
  hex?: string;
  d: string;
}

/** Where a section is not on the ground that all of it has. */
export function tintedGrounds(part: Cloth, scale: number): Ground[] {
  if (part.rows.stacked === 'out') return roundGrounds(part, scale);
  const bands = clothBands(part);
  if (bands.some(({ runs }) => runs)) return runGrounds(part, bands, scale);
  return bands.flatMap(({ cloth, tint = 0, hex }) => {
    if (tint === 0 && (hex === undefined || hex === part.hex)) return [];
    const d = part.form === 'taper' ? slicePath(part, cloth, scale) : boxOf(cloth, scale);
    return [{ tint, ...(hex ? { hex } : {}), d }];
  });
}

/** Rows of a yarn that repeats: all stretches of a colour as one path. */
function runGrounds(part: Cloth, bands: readonly ClothBand[], scale: number): Ground[] {
  const paths = new Map<string, string>();
  const { stacked } = part.rows;
  for (const { cloth: band, runs = [] } of bands) {
    const cloth = part.form === 'taper' ? narrowed(part, band) : band;
    const all = runs.reduce((sum, { stitches }) => sum + stitches, 0);
    let done = 0;
    for (const { hex, stitches } of runs) {
      const [from, share] = [done / all, stitches / all];
      done += stitches;
      const box =
        stacked === 'x'
          ? { ...cloth, y: cloth.y + from * cloth.h, h: share * cloth.h }
          : { ...cloth, x: cloth.x + from * cloth.w, w: share * cloth.w };
      paths.set(hex, (paths.get(hex) ?? '') + boxOf(box, scale));
    }
  }
  return [...paths].map(([hex, d]) => ({ tint: 0, hex, d }));
}

const boxOf = ({ x, y, w, h }: Cloth, scale: number): string => boxPath(x * scale, y * scale, w * scale, h * scale);

const boxPath = (x: number, y: number, w: number, h: number): string =>
  `M${px(x)} ${px(y)}h${px(w)}v${px(h)}h${px(-w)}Z`;

/** How far in its edges are at a height of it, where it narrows upwards. */
const insetAt = (whole: Cloth, y: number): number =>
  ((whole.w - (whole.top ?? whole.w)) / 2) * (1 - (y - whole.y) / whole.h);

/** One of its rows, as wide as its middle. */
function narrowed(whole: Cloth, row: Cloth): Cloth {
  const inset = insetAt(whole, row.y + row.h / 2);
  return { ...row, x: row.x + inset, w: row.w - 2 * inset };
}

/** A band of what narrows upwards. */
function slicePath(whole: Cloth, band: Cloth, scale: number): string {
  const [up, down] = [insetAt(whole, band.y), insetAt(whole, band.y + band.h)];
  const { x, w } = whole;
  const corners = [
    [x + up, band.y],
    [x + w - up, band.y],
    [x + w - down, band.y + band.h],
    [x + down, band.y + band.h],
  ].map(([across, high]) => `${px(across! * scale)} ${px(high! * scale)}`);
  return `M${corners.join('L')}Z`;
}

/** Rounds each around the one before: a ring from which the next further in is cut out. */
function roundGrounds(part: Cloth, scale: number): Ground[] {
  const { rounds = [], high = Math.min(part.w, part.h) / 2 / part.rows.count } = part.rows;
  return rounds.flatMap(({ tint = 0, hex, runs }, index): Ground[] => {
    const inset = (rounds.length - 1 - index) * high * scale;
    if (runs) return runRing(part, scale, runs, [inset, inset + high * scale]);
    if (tint === 0 && (hex === undefined || hex === part.hex)) return [];
    const d = ringPath(part, scale, inset) + ringPath(part, scale, inset + high * scale);
    return [{ tint, ...(hex ? { hex } : {}), d }];
  });
}

/** Whether it is of several colours, so that none of them is the ground of what is written on it. */
export const isTinted = ({ hex, rows: { bands = [], rounds = [] } }: Cloth): boolean =>
  hex !== undefined || [...bands, ...rounds].some((one) => one.tint || one.hex || 'runs' in one);
