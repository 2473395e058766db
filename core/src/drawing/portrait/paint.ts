import type { FieldValues } from '../../base/units';
import type { ClothRole, Part } from '../parts';
import { ink, type InkNode } from './ink';
import type { YarnTile } from './tile';
import { SHADOW, tonesOf, UNDYED, type Tones } from './tones';

/** What a portrait has to know of the fabric: the stitch of what says none of its own, and the repeat of any in yarn. */
export interface Weave {
  stitch: string;
  pattern?: FieldValues;
  tileOf: (stitch: string, pattern: FieldValues | undefined, role: ClothRole) => YarnTile;
  /** What a part is in that says no colour. */
  hex?: string;
  /** A stitch’s width, mm. */
  stitchMm: number;
  /** How thick the fabric is, mm. */
  thickMm: number;
  /** How much it lacks around what it should hold, mm, where that does not go in. */
  lacksMm?: number;
  /** How many rows are made of what shows a section; nothing where all of it is made, with all that is fastened to it. */
  madeOf?: (role: ClothRole) => number;
}

/** One picture as it is painted: its fabric, and what is defined once and used by name. */
export class Paint {
  readonly weave: Weave;
  readonly #prefix: string;
  readonly #defs = new Map<string, InkNode>();

  /** @param prefix of all names: they are known to a whole page */
  constructor(weave: Weave, prefix: string) {
    this.weave = weave;
    this.#prefix = prefix;
  }

  /** All that was defined. */
  get defs(): InkNode {
    return ink('defs', {}, [...this.#defs.values()]);
  }

  hexOf(part: { hex?: string }): string {
    return part.hex ?? this.weave.hex ?? UNDYED;
  }

  tonesOf(part: { hex?: string }): Tones {
    return tonesOf(this.hexOf(part));
  }

  /** Defines something once. @returns how it is named where it is used */
  named(key: string, define: (id: string) => InkNode): string {
    const id = `${this.#prefix}${key}`;
    if (!this.#defs.has(key)) this.#defs.set(key, define(id));
    return `url(#${id})`;
  }

  /** The repeat of a stitch in a colour, to fill with. */
  tile(tile: YarnTile, hex: string): string {
    const tones = tonesOf(hex);
    return this.named(`t${tile.id}-${hex.slice(1)}`, (id) =>
      ink('pattern', { id, patternUnits: 'userSpaceOnUse', width: tile.columns, height: round3(tile.high) }, [
        ...(tile.open ? [] : [ink('rect', { width: tile.columns, height: round3(tile.high), fill: tones.deep })]),
        ...tile.strokes.map(({ d, tone, wide, opacity, dash }) =>
          ink('path', {
            d,
            fill: 'none',
            stroke: tones[tone],
            strokeWidth: round3(wide),
            strokeLinecap: dash ? 'butt' : 'round',
            ...(opacity ? { opacity } : {}),
            ...(dash ? { strokeDasharray: dash.join(' ') } : {}),
          }),
        ),
      ]),
    );
  }

  /** What lies within an outline. */
  within(d: string, children: readonly InkNode[]): InkNode {
    const clip = this.named(`c${this.#defs.size}`, (id) => ink('clipPath', { id }, [ink('path', { d })]));
    return ink('g', { clipPath: clip }, children);
  }

  /** Light that falls from the left over what is a little round: across it, down it, or round a fold at an end of it. */
  shade(way: Shade): string {
    const to = way === 'across' ? { x2: 1, y2: 0 } : { x2: 0, y2: 1 };
    return this.named(way, (id) => ink('linearGradient', { id, x1: 0, y1: 0, ...to }, SHADES[way].map(stop)));
  }
}

const round3 = (value: number): number => Math.round(value * 1000) / 1000;

type Stop = readonly [at: number, colour: string, opacity: number];

type Shade = 'across' | 'down' | 'roundTop' | 'roundLow';

const SHADES: Readonly<Record<Shade, readonly Stop[]>> = {
  roundTop: [
    [0, SHADOW, 0.34],
    [0.22, SHADOW, 0.06],
    [0.5, '#FFFFFF', 0.2],
    [1, '#FFFFFF', 0],
  ],
  roundLow: [
    [0, '#FFFFFF', 0],
    [0.3, '#FFFFFF', 0.12],
    [0.55, SHADOW, 0.08],
    [1, SHADOW, 0.5],
  ],
  across: [
    [0, SHADOW, 0.3],
    [0.05, SHADOW, 0.1],
    [0.16, '#FFFFFF', 0.05],
    [0.34, '#FFFFFF', 0.08],
    [0.7, SHADOW, 0],
    [0.95, SHADOW, 0.14],
    [1, SHADOW, 0.36],
  ],
  down: [
    [0, '#FFFFFF', 0.1],
    [0.12, '#FFFFFF', 0],
    [0.8, SHADOW, 0],
    [1, SHADOW, 0.3],
  ],
};

const stop = ([offset, stopColor, stopOpacity]: Stop): InkNode => ink('stop', { offset, stopColor, stopOpacity });

/** How a kind of part is painted. */
export type Painter<Type extends Part['type']> = (part: Extract<Part, { type: Type }>, paint: Paint) => InkNode[];
