import type { ChartSymbol } from '@keep-snug/core';
import { px } from '@keep-snug/core/drawn';

/** What is on screen, in the drawing's own px. */
export interface Seen {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Smaller than this, single stitches cannot be told apart and rows stand for them, px. */
export const STITCH_PX = 9;

/** What of a grid of stitches is in view: first and last column and row, counted from 0. */
interface Window {
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

/** A sign about its own middle, turned by so much clockwise, radians. */
function turned(path: string, angle: number): string {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const point = ([x, y]: number[]) => [x! * cos - y! * sin, x! * sin + y! * cos];
  return [...path.matchAll(/([MLAQ])([^MLAQ]*)/g)]
    .map(([, letter, numbers]) => {
      const values = numbers!.split(' ').map(Number);
      // an arc has its radii, its own turn and two flags before the point it ends at
      const before =
        letter === 'A'
          ? [values[0]!, values[1]!, values[2]! + (angle * 180) / Math.PI, values[3]!, values[4]!]
          : values.slice(0, -2).length > 0
            ? point(values.slice(0, 2))
            : [];
      return `${letter!}${[...before, ...point(values.slice(-2))].join(' ')}`;
    })
    .join('');
}

/** One sign set down at its place, turned as it stands there. */
export function signAt(
  symbol: ChartSymbol,
  { w, h }: { w: number; h: number },
  { x, y, turn }: { x: number; y: number; turn: number },
): string {
  return `M${px(x)} ${px(y)}${relative(turned(symbol(0, 0, w, h), turn))}`;
}

/**
 * All signs in view as one path. Row 1 lies at the bottom of the grid. Each sign is made once and set down wherever it
 * belongs, so that thousands cost no more than their places.
 * @param symbols of one repeat, each row from the bottom up
 */
export function gridPath(grid: Grid, window: Window, symbols: readonly (readonly ChartSymbol[])[]): string {
  const made = new Map<ChartSymbol, string>();
  const signMade = (symbol: ChartSymbol) => {
    const before = made.get(symbol) ?? relative(symbol(0, 0, grid.w, grid.h));
    made.set(symbol, before);
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
