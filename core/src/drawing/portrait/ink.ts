/** Elements a portrait is made of, by the names a browser, a printer and the app’s own ink all know. */
export type InkTag =
  'g' | 'path' | 'rect' | 'circle' | 'defs' | 'pattern' | 'clipPath' | 'linearGradient' | 'radialGradient' | 'stop';

export type InkValue = string | number;

/** One element with its properties, written as they are in code. */
export interface InkNode {
  tag: InkTag;
  props: Readonly<Record<string, InkValue>>;
  children: readonly InkNode[];
}

/** One element. */
export const ink = (tag: InkTag, props: InkNode['props'], children: readonly InkNode[] = []): InkNode => ({
  tag,
  props,
  children,
});

/** A number as a picture writes it, to a hundredth of a mm. */
export const mm = (value: number): number => Math.round(value * 100) / 100;

/** A box whose corners are rounded, as a path; those below as those above unless it says otherwise. */
export function roundedBox(x: number, y: number, w: number, h: number, r: number, low = r): string {
  const [c, d] = [r, low].map((one) => Math.max(0, Math.min(one, w / 2, h / 2))) as [number, number];
  const turn = (by: number, dx: number, dy: number) => `a${mm(by)} ${mm(by)} 0 0 1 ${mm(dx)} ${mm(dy)}`;
  return (
    `M${mm(x + c)} ${mm(y)}h${mm(w - 2 * c)}${turn(c, c, c)}v${mm(h - c - d)}${turn(d, -d, d)}` +
    `h${mm(2 * d - w)}${turn(d, -d, -d)}v${mm(c + d - h)}${turn(c, c, -c)}Z`
  );
}

/** A number as a picture writes it, to a thousandth of its unit. */
export const fine = (value: number): number => Math.round(value * 1000) / 1000;
