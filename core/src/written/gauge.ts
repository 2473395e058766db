import { LEAST_COVER } from '../craft/fabric';
import type { Figure } from '../base/figure';
import { formatLength, formatNumber, type LengthUnit } from '../base/units';
import type { Worked } from '../reckon/types';

/** The length a gauge is counted over, by the unit in use: as makers say it. */
export const GAUGE_OVER = {
  mm: { mm: 100, words: '10 cm' },
  cm: { mm: 100, words: '10 cm' },
  m: { mm: 100, words: '10 cm' },
  in: { mm: 101.6, words: '4 in' },
} as const;
/**
 * A gauge as makers say it, to the nearest half, and of an estimate to whole ones: the size of one stitch says nothing in
 * sixteenths of an inch.
 */
export function gaugeText({ stitchWidth, rowHeight, worked }: ToldGauge, units: LengthUnit): string {
  const about = stitchWidth.kind === 'prior' ? 'about ' : '';
  return `${about}${perTen(stitchWidth, units)} stitches and ${perTen(rowHeight, units)} ${worked} to ${GAUGE_OVER[units].words}`;
}

type ToldGauge = Pick<Worked['gauges'][number], 'stitchWidth' | 'rowHeight' | 'worked'>;

/** How many go to 10 cm or 4 in: to the nearest half, of an estimate to whole ones. */
export function perTen({ value, kind }: Figure, units: LengthUnit): string {
  const many = GAUGE_OVER[units].mm / value;
  return kind === 'prior' ? String(Math.round(many)) : formatNumber(Math.round(2 * many) / 2, 1);
}

/** From so much yarn for its width on a fabric is dense (prior, ours). */
const DENSE_FROM = 0.45;

/** How closed a fabric is, in a word; its ratio stands in the workings. */
export function densityWord({ value }: Pick<Figure, 'value'>): string {
  if (value < LEAST_COVER) return 'open';
  return value < DENSE_FROM ? 'normal' : 'dense';
}

/** A thickness to half a millimetre, no finer than it is known. */
export const thicknessText = ({ value }: Figure, units: LengthUnit): string =>
  `about ${formatLength(Math.max(0.5, Math.round(2 * value) / 2), units)}`;
