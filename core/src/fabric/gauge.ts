import { asTerm, measured, type Figure } from '../figure';
import { methodInfo, type Method } from '../things';
import { formatNumber, type FieldValues } from '../units';

/** So many stitches, rows or chains measured over a length. */
export interface GaugeMeasure {
  count: number;
  /** Millimetres; left out where they reached round the thing. */
  overMm?: number;
  /** So many chains reach just round the thing: its girth is their length. */
  reaches?: 'round';
  by?: Method;
  /** The length as it was typed. */
  typed?: string;
}

/** How the swatch was when it was measured. */
export type SwatchState = 'as-worked' | 'blocked' | 'washed';

/** What was measured of one fabric: stitches across, rows along, the same in rounds, chains. */
export interface GaugeSpec {
  stitches?: readonly GaugeMeasure[];
  rows?: readonly GaugeMeasure[];
  roundStitches?: readonly GaugeMeasure[];
  rounds?: readonly GaugeMeasure[];
  chains?: readonly GaugeMeasure[];
  state?: SwatchState;
  /** The stitch it was worked in, and what was set of it, where that is not the fabric's own. */
  stitch?: string;
  pattern?: FieldValues;
}

/** A gauge measure with its length in mm and that length's standard uncertainty. */
export interface Measured {
  count: number;
  mm: number;
  sdMm: number;
  from: string;
}

/** A gauge measure in millimetres; one that reaches round the thing is as long as its girth. */
export function measuredOf(measure: GaugeMeasure, girth?: Figure<'mm'>): Measured {
  if (measure.reaches === 'round' && girth)
    return { count: measure.count, mm: girth.value, sdMm: girth.sd ?? 0, from: 'reaches round the thing' };
  const { id, name, sd } = methodInfo(measure.by);
  const mm = measure.overMm!;
  return { count: measure.count, mm, sdMm: sd(mm), from: id === 'ruler' ? 'ruler' : name };
}

/** How well the eye judges where a stitch ends, in stitches (prior, handbook 2.1). */
const EDGE_OF_A_STITCH = 0.25;

/** How far a piece strays from its own swatch, as a fraction (prior, handbook 2.1). */
export const PIECE_STRAYS = 0.025;

/**
 * Relative standard uncertainty of one gauge measure: `sqrt((sdL/L)² + (q/n)²)` (law, with q a prior; handbook 2.1).
 */
export function gaugeSpread({ count, mm, sdMm }: Measured): number {
  return Math.hypot(sdMm / mm, EDGE_OF_A_STITCH / count);
}

/** The size one measure gives, mm, with its own spread. */
function sizeOf(measure: Measured): Figure<'mm'> {
  const size = measure.mm / measure.count;
  return measured(size, 'mm', size * gaugeSpread(measure), measure.from);
}

/** What speaks of a size besides the estimate: measures of the size itself, and of one that is akin to it. */
export interface Evidence {
  measures: readonly Measured[];
  akin?: readonly Kin[];
}

/** Measures of a size to which this one stands as `ratio` to 1, known to within `spread`. */
export interface Kin {
  measures: readonly Measured[];
  ratio: number;
  spread: number;
  from: string;
}

interface LogNormal {
  /** Natural logarithm of the size in mm. */
  mean: number;
  sd: number;
}

/**
 * Several measures of one swatch as one: weighted by their precision, and widened by the spread between them when they
 * disagree more than their own uncertainties explain (handbook 2.1).
 */
function combined(measures: readonly Measured[]): LogNormal {
  const each = measures.map((m) => ({ mean: Math.log(m.mm / m.count), weight: 1 / gaugeSpread(m) ** 2 }));
  const weight = each.reduce((sum, m) => sum + m.weight, 0);
  const mean = each.reduce((sum, m) => sum + m.weight * m.mean, 0) / weight;
  const disagreement =
    each.length > 1 ? each.reduce((sum, m) => sum + m.weight * (m.mean - mean) ** 2, 0) / (each.length - 1) : 0;
  return { mean, sd: Math.sqrt(Math.max(1, disagreement) / weight) };
}

/**
 * Bayes on the logarithm of a size: what was believed, narrowed by all that was measured. A swatch, a chain and rows
 * already worked come in alike; the longer and better measured weighs more because its spread is smaller (law,
 * handbook 2.1).
 *
 * @param estimate the size in mm believed before, with its sd
 * @param evidence any number of measures; none leaves the estimate as it is
 * @returns the size in mm; its sd includes the 2.5 % by which a piece strays from its swatch once there is one
 */
export function updateGauge(estimate: Figure<'mm'>, { measures, akin = [] }: Evidence): Figure<'mm'> {
  const others = akin.filter((kin) => kin.measures.length > 0);
  if (measures.length === 0 && others.length === 0) return estimate;
  const before: LogNormal = { mean: Math.log(estimate.value), sd: (estimate.sd ?? 0) / estimate.value };
  const seen = [
    ...(measures.length > 0 ? [combined(measures)] : []),
    ...others.map((kin) => {
      const { mean, sd } = combined(kin.measures);
      return { mean: mean + Math.log(kin.ratio), sd: Math.hypot(sd, kin.spread) };
    }),
  ];
  const weights = [before, ...seen].map(({ sd }) => 1 / sd ** 2);
  const weight = weights.reduce((sum, w) => sum + w, 0);
  const mean = [before, ...seen].reduce((sum, part, index) => sum + weights[index]! * part.mean, 0) / weight;
  const value = Math.exp(mean);
  return {
    value,
    unit: 'mm',
    sd: value * Math.hypot(1 / Math.sqrt(weight), PIECE_STRAYS),
    kind: 'measured',
    workings: {
      formula: 'measured, weighed against the estimate',
      terms: [
        ...measures.map((m) => asTerm(`${formatNumber(m.mm)} mm over ${m.count}`, sizeOf(m))),
        ...others.flatMap((kin) =>
          kin.measures.map((m) => asTerm(`${kin.from}, ${m.count} over ${formatNumber(m.mm)} mm`, sizeOf(m))),
        ),
        asTerm('estimate', estimate),
        asTerm('say of what was measured', {
          value: 1 - weights[0]! / weight,
          unit: '1',
          kind: 'law',
          workings: { formula: 'its precision over all precisions', terms: [] },
        }),
      ],
    },
  };
}
