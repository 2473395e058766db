/** A chart symbol: an SVG path about a middle point, in a stitch's own width and height, whatever the unit. */
export type ChartSymbol = (x: number, y: number, w: number, h: number) => string;

/*
 * Our own hand: every symbol is drawn from what the hook does there. A stitch pattern names those it is charted with; one
 * that needs another draws it in its own file.
 */

const at = (value: number) => Number(value.toFixed(2));

/** Begins a stroke. */
export const move = (x: number, y: number) => `M${at(x)} ${at(y)}`;

/** Draws it on. */
export const line = (x: number, y: number) => `L${at(x)} ${at(y)}`;

/** A cross: a single. */
export const CROSS: ChartSymbol = (x, y, w, h) => {
  const r = 0.3 * Math.min(w, h);
  return `${move(x - r, y)}${line(x + r, y)}${move(x, y - r)}${line(x, y + r)}`;
};

/**
 * A post with its cap, and so many slashes for the yarn laid over the hook.
 * @param lean how far it leans to the right, in widths
 */
export const post =
  (slashes: number, lean = 0): ChartSymbol =>
  (x, y, w, h) => {
    const [rx, ry] = [0.32 * w, 0.42 * h];
    const shift = lean * w;
    const bars = Array.from({ length: slashes }, (_, index) => {
      const level = y - ry * 0.2 + index * 0.22 * h;
      return `${move(x - 0.18 * w, level + 0.08 * h)}${line(x + 0.18 * w, level - 0.08 * h)}`;
    }).join('');
    return `${move(x - rx + shift, y - ry)}${line(x + rx + shift, y - ry)}${move(x + shift, y - ry)}${line(x - shift, y + ry)}${bars}`;
  };

/** A flat oval: a chain. */
export const OVAL: ChartSymbol = (x, y, w, h) => {
  const [rx, ry] = [0.36 * w, 0.16 * Math.min(w, h)].map(at) as [number, number];
  return `${move(x - rx, y)}A${rx} ${ry} 0 1 1 ${at(x + rx)} ${at(y)}A${rx} ${ry} 0 1 1 ${at(x - rx)} ${at(y)}`;
};

/** A bow over the whole column: a loop of chains. */
export const BOW: ChartSymbol = (x, y, w, h) =>
  `${move(x - 0.5 * w, y + 0.3 * h)}Q${at(x)} ${at(y - 0.7 * h)} ${at(x + 0.5 * w)} ${at(y + 0.3 * h)}`;
