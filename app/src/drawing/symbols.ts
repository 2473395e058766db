import { px } from './layout';

/**
 * Chart symbols of stitches as paths about a middle point, in the stitch's own width and height. Our own hand: every
 * sign is drawn from what the hook does there.
 */
type Sign = (x: number, y: number, w: number, h: number) => string;

const move = (x: number, y: number) => `M${px(x)} ${px(y)}`;
const to = (x: number, y: number) => `L${px(x)} ${px(y)}`;

const cross: Sign = (x, y, w, h) => {
  const r = 0.3 * Math.min(w, h);
  return `${move(x - r, y)}${to(x + r, y)}${move(x, y - r)}${to(x, y + r)}`;
};

/** A post with its cap, and so many slashes for the yarn laid over the hook. */
const post =
  (slashes: number, lean = 0): Sign =>
  (x, y, w, h) => {
    const [rx, ry] = [0.32 * w, 0.42 * h];
    const shift = lean * w;
    const bars = Array.from({ length: slashes }, (_, index) => {
      const level = y - ry * 0.2 + index * 0.22 * h;
      return `${move(x - 0.18 * w, level + 0.08 * h)}${to(x + 0.18 * w, level - 0.08 * h)}`;
    }).join('');
    return `${move(x - rx + shift, y - ry)}${to(x + rx + shift, y - ry)}${move(x + shift, y - ry)}${to(x - shift, y + ry)}${bars}`;
  };

const chain: Sign = (x, y, w, h) => {
  const [rx, ry] = [0.36 * w, 0.16 * Math.min(w, h)];
  return `${move(x - rx, y)}A${px(rx)} ${px(ry)} 0 1 1 ${px(x + rx)} ${px(y)}A${px(rx)} ${px(ry)} 0 1 1 ${px(x - rx)} ${px(y)}`;
};

const ridge: Sign = (x, y, w, h) =>
  `${cross(x, y, w, h)}${move(x - 0.36 * w, y + 0.38 * h)}${to(x + 0.36 * w, y + 0.38 * h)}`;
const spike: Sign = (x, y, w, h) => `${cross(x, y - 0.1 * h, w, h)}${move(x, y)}${to(x, y + 0.75 * h)}`;
const linked: Sign = (x, y, w, h) => `${cross(x, y, w, h)}${move(x - 0.5 * w, y)}${to(x - 0.3 * w, y)}`;
const wrapped: Sign = (x, y, w, h) => `${post(0)(x, y, w, h)}${chain(x, y + 0.1 * h, 0.7 * w, h)}`;
const together: Sign = (x, y, w, h) =>
  `${move(x, y - 0.4 * h)}${to(x - 0.34 * w, y + 0.4 * h)}${move(x, y - 0.4 * h)}${to(x + 0.34 * w, y + 0.4 * h)}`;
const leaning =
  (slashes: number): Sign =>
  (x, y, w, h) =>
    post(slashes, 0.22)(x, y, w, h);
const loop: Sign = (x, y, w, h) =>
  `${move(x - 0.5 * w, y + 0.3 * h)}Q${px(x)} ${px(y - 0.7 * h)} ${px(x + 0.5 * w)} ${px(y + 0.3 * h)}`;

const SIGNS: Readonly<Record<string, Sign>> = {
  slip: (x, y, w, h) => chain(x, y, 0.4 * w, 0.6 * h),
  chain,
  single: cross,
  'single-back-loop': ridge,
  'linked-single': linked,
  spike,
  'half-double': post(0),
  'half-double-v': leaning(0),
  'half-double-wrapped': wrapped,
  'half-double-together': together,
  double: post(1),
  'double-crossed': leaning(1),
  'double-v': leaning(1),
  cluster: post(1),
  treble: post(2),
  net: cross,
  'net-space': loop,
  own: (x, y, w, h) => chain(x, y, 0.8 * w, h),
};

/** The sign of a stitch. */
export function signOf(stitch: string): Sign {
  return SIGNS[stitch] ?? cross;
}

/** What of a grid of stitches is in view: first and last column and row, counted from 0. */
export interface Window {
  fromColumn: number;
  toColumn: number;
  fromRow: number;
  toRow: number;
}

interface Grid {
  columns: number;
  rows: number;
  /** Px of one stitch. */
  w: number;
  h: number;
}

/** Which stitches of a grid lie within a box of the screen, in the grid's own px. */
export function windowOf(
  { columns, rows, w, h }: Grid,
  box: { left: number; top: number; right: number; bottom: number },
): Window {
  const clamp = (value: number, most: number) => Math.max(0, Math.min(most, value));
  return {
    fromColumn: clamp(Math.floor(box.left / w), columns),
    toColumn: clamp(Math.ceil(box.right / w), columns),
    fromRow: clamp(Math.floor(box.top / h), rows),
    toRow: clamp(Math.ceil(box.bottom / h), rows),
  };
}

/** A sign about its own middle, every stroke told from where the last one ended, and at last back to the middle. */
function relative(path: string): string {
  let [x, y] = [0, 0];
  const strokes = [...path.matchAll(/([MLAQ])([^MLAQ]*)/g)].map(([, letter, numbers]) => {
    const values = numbers!.split(' ').map(Number);
    const [toX, toY] = values.slice(-2) as [number, number];
    const before = letter === 'Q' ? [values[0]! - x, values[1]! - y] : values.slice(0, -2);
    const told = [...before, toX - x, toY - y].map((value) => Number(value.toFixed(2)));
    [x, y] = [toX, toY];
    return `${letter!.toLowerCase()}${told.join(' ')}`;
  });
  return strokes.join('');
}

/**
 * All signs in view as one path. Row 1 lies at the bottom of the grid. Each sign is made once and set down wherever it
 * belongs, so that thousands cost no more than their places.
 * @param symbols of one repeat, each row from the bottom up
 */
export function gridPath(grid: Grid, window: Window, symbols: readonly (readonly string[])[]): string {
  const made = new Map<string, string>();
  const signMade = (stitch: string) => {
    const before = made.get(stitch) ?? relative(signOf(stitch)(0, 0, grid.w, grid.h));
    made.set(stitch, before);
    return before;
  };
  const columns = Array.from({ length: Math.max(0, window.toColumn - window.fromColumn) }, (_, index) => ({
    column: window.fromColumn + index,
    place: `M${px((window.fromColumn + index + 0.5) * grid.w)} `,
  }));
  let path = '';
  for (let row = window.fromRow; row < window.toRow; row += 1) {
    const line = symbols[(grid.rows - 1 - row) % symbols.length]!.map(signMade);
    const down = px((row + 0.5) * grid.h);
    for (const { column, place } of columns) path += place + down + line[column % line.length]!;
  }
  return path;
}
