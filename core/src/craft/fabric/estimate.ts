import { derive, prior, type Figure } from '../../base/figure';
import { CHAIN, type StitchPattern } from './stitches';

/** Standard uncertainties of an estimate from yarn and hook, as fractions (prior, handbook 2.1). */
export const WIDTH_SPREAD = 0.12;
export const HEIGHT_SPREAD = 0.15;

/** How far a factor of the stitch table may be off, as a fraction (prior, ours). */
const FACTOR_SPREAD = 0.1;

/**
 * The maker's own hand: the mean ratio of measured to estimated sizes over past makes with such yarn, and its spread
 * (handbook 2.1). It takes the place of the 12 % an unknown hand may differ by.
 */
export interface Hand {
  width: number;
  height: number;
  /** Standard uncertainty of the next make's ratio, as a fraction; of its heights, where that is another. */
  spread: number;
  spreadHeight?: number;
  /** Makes it was learned from. */
  makes: number;
}

/** What the maker's own stitches do against what is usual, by finished makes: the yarn they take, how a strap of them grows (handbook 7 and 10). */
export interface OwnRatio {
  /** Against what is usual, as a factor. */
  ratio: number;
  /** Standard uncertainty of the next make's, as a fraction. */
  spread: number;
  makes: number;
}

/** The maker's own pace, by finished makes (handbook 7 and 10). */
export interface Rate {
  /** Single crochet (US) a minute; other stitches go in proportion. */
  perMinute: number;
  /** Standard uncertainty of the next make's, as a fraction. */
  spread: number;
  makes: number;
}

/** How much wider the row heights of a known hand still scatter than its widths, as a fraction (prior, ours). */
const HAND_HEIGHT_SPREAD = 0.05;

/**
 * Width of a single crochet stitch before anything is measured, mm: `0.8 hook + 1.3 d` (prior, ours: fits the published
 * category bands; handbook 2.1).
 *
 * @param hook mm
 * @param d yarn diameter, mm
 */
export function singleWidth(hook: number, d: number): number {
  return 0.8 * hook + 1.3 * d;
}

/** A size as a factor of the estimated single crochet width `0.8 hook + 1.3 d`, mm (prior, ours; handbook 2.1). */
function estimated(
  name: 'w' | 'h',
  hook: Figure<'mm'>,
  yarn: Figure<'mm'>,
  factor: number,
  spread: number,
  ratio = 1,
): Figure<'mm'> {
  const f = prior(factor, '1', 0, 'factor of the stitch');
  const known = ratio !== 1;
  const size = known
    ? derive(
        'mm',
        `${name} = (0.8 hook + 1.3 d) × f × hand`,
        { hook, d: yarn, f, hand: prior(ratio, '1', 0, 'your makes so far') },
        (v) => singleWidth(v.hook, v.d) * v.f * v.hand,
      )
    : derive('mm', `${name} = (0.8 hook + 1.3 d) × f`, { hook, d: yarn, f }, (v) => singleWidth(v.hook, v.d) * v.f);
  // the spread is that of the rule as a whole, which the yarn's own is part of
  return { ...size, kind: 'prior', sd: spread * size.value };
}

export interface Sizes {
  width: Figure<'mm'>;
  height: Figure<'mm'>;
}

/**
 * Stitch width and row height before anything is measured, mm: sd 12 % and 15 %, or those of the maker's own hand where
 * it is known (prior, ours, fits the published bands; handbook 2.1 and 2.2).
 */
export function estimateSizes(
  hook: Figure<'mm'>,
  yarn: Figure<'mm'>,
  { factors }: StitchPattern,
  worked: 'rows' | 'rounds',
  hand?: Hand,
): Sizes {
  const height = worked === 'rows' ? factors.rowHeight : factors.roundHeight;
  return {
    width: estimated('w', hook, yarn, factors.width, hand?.spread ?? WIDTH_SPREAD, hand?.width),
    height: estimated(
      'h',
      hook,
      yarn,
      height,
      hand ? (hand.spreadHeight ?? Math.hypot(hand.spread, HAND_HEIGHT_SPREAD)) : HEIGHT_SPREAD,
      hand?.height,
    ),
  };
}

/** Chain size before a chain is measured, mm: 1.08 of the maker's single crochet, sd 12 % (prior, handbook 2.2). */
export function estimateChain(stitchWidth: Figure<'mm'>, stitch: StitchPattern): Figure<'mm'> {
  const f = prior(CHAIN.width / stitch.factors.width, '1', 0, 'chain against the stitch');
  const chain = derive('mm', 'wc = w × f', { w: stitchWidth, f }, (v) => v.w * v.f);
  return { ...chain, kind: 'prior', sd: WIDTH_SPREAD * chain.value };
}

/** Fabric thickness, mm: the stitch's factor of the yarn diameter (prior, handbook 2.2). */
export function estimateThickness(yarn: Figure<'mm'>, stitch: StitchPattern): Figure<'mm'> {
  const k = stitch.factors.thickness;
  return derive(
    'mm',
    't = k × d',
    { k: prior(k, '1', FACTOR_SPREAD * k, 'thickness of the stitch'), d: yarn },
    (v) => v.k * v.d,
  );
}
