import { CROSS, OVAL, post, type ChartSymbol } from './symbols';

/** The stitches everything is built of. The ids use the US names. */
export type BaseId = 'slip' | 'single' | 'reverse' | 'two-loop' | 'half-double' | 'double' | 'treble';

interface BaseStitch {
  id: BaseId;
  name: { US: string; UK: string };
  /** Height against the width of single crochet, worked in turned rows and in rounds (prior, handbook 2.2). */
  rowHeight: number;
  roundHeight: number;
  /** Width against single crochet (prior, handbook 2.2). */
  width: number;
  /** Thickness against yarn diameter (prior, handbook 2.2). */
  thickness: number;
  /** Comfortable stretch, as fractions (prior, handbook 2.2). */
  stretchAcross: number;
  stretchAlong: number;
  /** Yarn in a stitch against its width (prior, handbook 2.2). */
  yarn: number;
  /** Stitches a minute (prior, handbook 7). */
  aMinute: number;
  /** Chains that bring the hook to its height, and those that count as a stitch where the school has it so. */
  chainsUp: number;
  /** Chains skipped at the start of row 1, and when the turning chain counts as a stitch. */
  skipped: { plain: number; counting: number };
  /** Worked along edges and through layers only, never as the rows of a piece. */
  edgesOnly?: true;
  /** A turning chain so low is a stitch in no school. */
  neverCounts: boolean;
  symbol: ChartSymbol;
}

export const BASES: Readonly<Record<BaseId, BaseStitch>> = {
  slip: {
    id: 'slip',
    name: { US: 'slip stitch', UK: 'slip stitch' },
    rowHeight: 0.35,
    roundHeight: 0.35,
    width: 1,
    thickness: 1.2,
    stretchAcross: 0.04,
    stretchAlong: 0.03,
    yarn: 3.3,
    aMinute: 26,
    chainsUp: 1,
    skipped: { plain: 1, counting: 1 },
    neverCounts: true,
    edgesOnly: true,
    symbol: (x, y, w, h) => OVAL(x, y, 0.4 * w, 0.6 * h),
  },
  single: {
    id: 'single',
    name: { US: 'single crochet', UK: 'double crochet' },
    rowHeight: 0.88,
    roundHeight: 0.98,
    width: 1,
    thickness: 1.8,
    stretchAcross: 0.08,
    stretchAlong: 0.06,
    yarn: 6.6,
    aMinute: 22,
    chainsUp: 1,
    skipped: { plain: 1, counting: 1 },
    neverCounts: true,
    symbol: CROSS,
  },
  reverse: {
    id: 'reverse',
    name: { US: 'reverse single crochet', UK: 'reverse double crochet' },
    rowHeight: 0.6,
    roundHeight: 0.6,
    width: 1,
    thickness: 2.2,
    stretchAcross: 0.05,
    stretchAlong: 0.05,
    yarn: 7.5,
    aMinute: 16,
    chainsUp: 1,
    skipped: { plain: 1, counting: 1 },
    neverCounts: true,
    edgesOnly: true,
    // a cross over a line
    symbol: (x, y, w, h) => `${CROSS(x, y, w, h)}M${x - 0.4 * w} ${y + 0.5 * h}h${0.8 * w}`,
  },
  // a cord drawn through two loops: as a chain with twice its yarn
  'two-loop': {
    id: 'two-loop',
    name: { US: 'cord stitches of two loops', UK: 'cord stitches of two loops' },
    rowHeight: 0.5,
    roundHeight: 0.5,
    width: 1.08,
    thickness: 1.6,
    stretchAcross: 0.03,
    stretchAlong: 0.06,
    yarn: 7,
    aMinute: 20,
    chainsUp: 1,
    skipped: { plain: 1, counting: 1 },
    neverCounts: true,
    edgesOnly: true,
    symbol: OVAL,
  },
  'half-double': {
    id: 'half-double',
    name: { US: 'half double crochet', UK: 'half treble' },
    rowHeight: 1.25,
    roundHeight: 1.3,
    width: 1.03,
    thickness: 2,
    stretchAcross: 0.12,
    stretchAlong: 0.1,
    yarn: 9,
    aMinute: 17,
    chainsUp: 2,
    skipped: { plain: 1, counting: 2 },
    neverCounts: false,
    symbol: post(0),
  },
  double: {
    id: 'double',
    name: { US: 'double crochet', UK: 'treble' },
    rowHeight: 1.8,
    roundHeight: 1.9,
    width: 1.05,
    thickness: 1.6,
    stretchAcross: 0.15,
    stretchAlong: 0.12,
    yarn: 11.5,
    aMinute: 14,
    chainsUp: 3,
    skipped: { plain: 3, counting: 3 },
    neverCounts: false,
    symbol: post(1),
  },
  treble: {
    id: 'treble',
    name: { US: 'treble crochet', UK: 'double treble' },
    rowHeight: 2.4,
    roundHeight: 2.6,
    width: 1.06,
    thickness: 1.5,
    stretchAcross: 0.18,
    stretchAlong: 0.14,
    yarn: 14,
    aMinute: 11,
    chainsUp: 4,
    skipped: { plain: 4, counting: 4 },
    neverCounts: false,
    symbol: post(2),
  },
};

/**
 * A chain: its width against single crochet before one is measured, its stretch, its thickness against the yarn, its yarn
 * against its length, and how many are worked a minute (prior, handbook 2.2).
 */
export const CHAIN = { width: 1.08, stretch: 0.03, thickness: 1, yarn: 3.5, aMinute: 40 } as const;

/** The base stitch of an id; undefined for patterns and what is no stitch. */
export function baseStitch(id: string): BaseStitch | undefined {
  return (BASES as Record<string, BaseStitch>)[id];
}
