import { asTerm, measured, type Figure } from '../../base/figure';
import { methodInfo, type Method } from '../things';
import { formatNumber, type FieldValues } from '../../base/units';

/** So many stitches, rows or chains measured over a length. */
export interface GaugeMeasure {
  count: number;
  /** Millimetres; left out where they reached round the thing. */
  overMm?: number;
  /** So many chains reach just round the thing: its girth is their length. */
  reaches?: 'round';
  by?: Method;
  /** How they were counted; from edge to edge where it is not said. */
  counted?: Counted;
  /** Where they were counted: a swatch, or the plan's own piece in its first fabric. */
  on?: 'piece';
  /** The length as it was typed. */
  typed?: string;
}

/**
 * How stitches were counted over a length: from the edge of one to the edge of another; the whole ones inside a length
 * whose zero lies on an edge; the whole ones inside a length laid anywhere; chained until they reached.
 */
export type Counted = 'edges' | 'whole' | 'anywhere' | 'reaching';

/** What is added to a count for what was not counted, and how well an end is then known, in stitches. */
interface Counting {
  more: number;
  q: number;
}

/** The remainders are uniform: their mean and standard deviation (law); where the eye judges an edge, a prior (handbook 2.1). */
export const COUNTINGS: Readonly<Record<Counted, Counting>> = {
  edges: { more: 0, q: 0.25 },
  whole: { more: 0.5, q: 0.29 },
  anywhere: { more: 1, q: 0.41 },
  reaching: { more: -0.5, q: 0.29 },
};

/**
 * Whole ones and a half in a length: some type a half from a quarter on and some once it is there, so that a quarter of one is
 * over in the mean of the two, and the half typed already has it or not (law, handbook 2.1).
 */
const WITH_A_HALF: Counting = { more: 0.125, q: 0.19 };

/** What was not counted of a measure, by how it was. */
export function countingOf({ count, counted, reaches }: GaugeMeasure): Counting {
  const hasHalf = counted === 'whole' && Math.abs((count % 1) - 0.5) < 1e-9;
  return hasHalf ? WITH_A_HALF : COUNTINGS[counted ?? (reaches ? 'reaching' : 'edges')];
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
  /** Two layers of it pressed together, measured through. */
  twoLayers?: { mm: number; by?: Method; typed?: string };
  state?: SwatchState;
  /** The stitch it was worked in, and what was set of it, where that is not the fabric's own. */
  stitch?: string;
  pattern?: FieldValues;
  /** The hook it was worked with, where that is not the fabric's own. */
  hookMm?: number;
}

const LISTED = ['stitches', 'rows', 'roundStitches', 'rounds', 'chains'] as const;

const isUnsaid = ({ counted, reaches }: GaugeMeasure): boolean => counted === undefined && reaches === undefined;

/** The measures of a gauge that do not say how they were counted: a piece said to fit can miss by it (handbook 2.1). */
export const unsaidCounts = (gauge: GaugeSpec): readonly GaugeMeasure[] =>
  LISTED.flatMap((list) => gauge[list] ?? []).filter(isUnsaid);

/** A gauge whose measures were all counted so, but for those that say so themselves. */
export function saidCounted(gauge: GaugeSpec, counted: Counted): GaugeSpec {
  const said = LISTED.flatMap((list) =>
    gauge[list] ? [[list, gauge[list].map((one) => (isUnsaid(one) ? { ...one, counted } : one))]] : [],
  );
  return { ...gauge, ...(Object.fromEntries(said) as Partial<GaugeSpec>) };
}

/** A gauge measure with its length in mm and that length's standard uncertainty. */
export interface Measured {
  /** Stitches in it, with what was not counted: not always whole. */
  count: number;
  /** How well both its ends are known, in stitches. */
  q: number;
  mm: number;
  sdMm: number;
  from: string;
  /** Whether it was taken on the piece itself. */
  onPiece: boolean;
}

/**
 * A gauge measure in millimetres; one that reaches round the thing is as long as its girth.
 * @source handbook 2.1 (how it was counted matters more than the tape)
 */
export function measuredOf(measure: GaugeMeasure, girth?: Figure<'mm'>): Measured {
  const round = measure.reaches === 'round' && girth;
  const { more, q } = countingOf(measure);
  // one chain that reaches is one chain
  const of = { count: Math.max(0.5, measure.count + more), q, onPiece: measure.on === 'piece' };
  if (round) return { ...of, mm: girth.value, sdMm: girth.sd ?? 0, from: 'reaches round the item' };
  const { id, name, sd } = methodInfo(measure.by);
  const mm = measure.overMm!;
  return { ...of, mm, sdMm: sd(mm), from: id === 'ruler' ? 'ruler' : name };
}

/** How far a piece strays from its own swatch, as a fraction (prior, handbook 2.1). */
export const PIECE_STRAYS = 0.025;

/** How far the width of one course strays from its piece's, as a fraction (prior, ours; handbook 2.1). */
export const TENSION_WANDERS = 0.015;

/** A width of the piece, taken at one place of it: the rest is as wide as that to within what tension wanders (handbook 2.1). */
export const atOnePlace = (measure: Measured): Measured =>
  measure.onPiece ? { ...measure, sdMm: Math.hypot(measure.sdMm, TENSION_WANDERS * measure.mm) } : measure;

/**
 * Relative standard uncertainty of one gauge measure: `sqrt((sdL/L)² + (q/n)²)` (law, with q by how it was counted;
 * handbook 2.1).
 */
export function gaugeSpread({ count, q, mm, sdMm }: Pick<Measured, 'count' | 'q' | 'mm' | 'sdMm'>): number {
  return Math.hypot(sdMm / mm, q / count);
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
  /** Variance of that logarithm. */
  variance: number;
}

/** Several beliefs of one size as one, each by its precision (law). */
function weighed(parts: readonly LogNormal[]): LogNormal {
  const weight = parts.reduce((sum, { variance }) => sum + 1 / variance, 0);
  return { mean: parts.reduce((sum, { mean, variance }) => sum + mean / variance, 0) / weight, variance: 1 / weight };
}

/** One list of measures, and how they stand to the size that is asked for. */
type Listed = Pick<Kin, 'measures' | 'ratio' | 'spread'>;

/** What all lists say together, the spread a list shares with none counted once; nothing where there is no measure. */
function saidBy(lists: readonly Listed[]): LogNormal | undefined {
  const full = lists.filter(({ measures }) => measures.length > 0);
  if (full.length === 0) return undefined;
  const of = (list: Listed, measure: Measured): LogNormal => ({
    mean: Math.log((measure.mm / measure.count) * list.ratio),
    variance: gaugeSpread(measure) ** 2,
  });
  const all = weighed(
    full.map((list) => {
      const own = weighed(list.measures.map((measure) => of(list, measure)));
      return { mean: own.mean, variance: own.variance + list.spread ** 2 };
    }),
  );
  const each = full.flatMap((list) =>
    list.measures.map((measure) => {
      const { mean, variance } = of(list, measure);
      return { mean, variance: variance + list.spread ** 2 };
    }),
  );
  return { mean: all.mean, variance: all.variance * Math.max(1, disagreement(each)) };
}

/** How much more measures differ than their uncertainties explain, over all lists: `χ² / (n − 1)` (law, handbook 2.1). */
function disagreement(each: readonly LogNormal[]): number {
  if (each.length < 2) return 1;
  const { mean } = weighed(each);
  return each.reduce((sum, one) => sum + (one.mean - mean) ** 2 / one.variance, 0) / (each.length - 1);
}

interface Said {
  swatch: LogNormal | undefined;
  piece: LogNormal | undefined;
}

/** One evidence is asked for its own size and for what it says of the other. */
const heard = new WeakMap<Evidence, Said>();

/** What was measured on a swatch, and what on the piece. */
function saidIn(evidence: Evidence): Said {
  const before = heard.get(evidence);
  if (before) return before;
  const { measures, akin = [] } = evidence;
  const lists: Listed[] = [{ measures, ratio: 1, spread: 0 }, ...akin];
  const isOnPiece = lists.some((list) => list.measures.some(({ onPiece }) => onPiece));
  const taken = (onPiece: boolean) =>
    saidBy(lists.map((list) => ({ ...list, measures: list.measures.filter((one) => one.onPiece === onPiece) })));
  const said = isOnPiece ? { swatch: taken(false), piece: taken(true) } : { swatch: saidBy(lists), piece: undefined };
  heard.set(evidence, said);
  return said;
}

const logOf = ({ value, sd = 0 }: Figure<'mm'>): LogNormal => ({ mean: Math.log(value), variance: (sd / value) ** 2 });

/**
 * Bayes on the logarithm of a size: what was believed, narrowed by all that was measured. A swatch and a chain come in
 * alike; the longer and better measured weighs more because its spread is smaller; measures that contradict each other
 * widen the result. Then the 2.5 % by which a piece strays from its swatch, which what was measured on the piece itself
 * narrows in its turn (law, handbook 2.1).
 *
 * @param estimate the size in mm believed before, with its sd
 * @param evidence any number of measures; none leaves the estimate as it is
 */
export function updateGauge(estimate: Figure<'mm'>, evidence: Evidence): Figure<'mm'> {
  const { measures, akin = [] } = evidence;
  const { swatch, piece } = saidIn(evidence);
  if (!swatch && !piece) return estimate;
  const before = logOf(estimate);
  const first = swatch ? weighed([before, swatch]) : before;
  const strayed = { ...first, variance: first.variance + PIECE_STRAYS ** 2 };
  const { mean, variance } = piece ? weighed([strayed, piece]) : strayed;
  const value = Math.exp(mean);
  const share = (say: LogNormal | undefined, all: number) => (say ? all / say.variance : 0);
  const said = 1 - (1 - share(swatch, first.variance)) * (1 - share(piece, variance));
  return {
    value,
    unit: 'mm',
    sd: value * Math.sqrt(variance),
    kind: 'measured',
    workings: {
      formula: 'measured, weighed against the estimate',
      terms: [
        ...measures.map((m) => asTerm(`${formatNumber(m.mm)} mm over ${formatNumber(m.count)}`, sizeOf(m))),
        ...akin.flatMap((kin) =>
          kin.measures.map((m) =>
            asTerm(`${kin.from}, ${formatNumber(m.count)} over ${formatNumber(m.mm)} mm`, sizeOf(m)),
          ),
        ),
        asTerm('estimate', estimate),
        asTerm('say of what was measured', {
          value: said,
          unit: '1',
          kind: 'law',
          workings: { formula: 'its precision over all precisions', terms: [] },
        }),
      ],
    },
  };
}

/** How far stitch width and row height of one hand stray together (prior, ours; handbook 2.1). */
export const HAND_RHO = 0.6;

/**
 * What is believed of one size once the other of the same hand was measured: both stray from their estimates together,
 * so that a measured width narrows an unmeasured height, and the other way (law of the bivariate normal, with rho a
 * prior; handbook 2.1).
 *
 * @param estimate the size that is asked for, mm
 * @param other the other's estimate, and what it came to
 */
export function informedBy(
  estimate: Figure<'mm'>,
  other: { estimate: Figure<'mm'>; came: Figure<'mm'> },
): Figure<'mm'> {
  const [own, before, after] = [logOf(estimate), logOf(other.estimate), logOf(other.came)];
  const gained = before.variance - after.variance;
  if (gained <= 0 || own.variance === 0) return estimate;
  const slope = HAND_RHO * Math.sqrt(own.variance / before.variance);
  const value = estimate.value * Math.exp(slope * (after.mean - before.mean));
  const sd = value * Math.sqrt(own.variance - slope ** 2 * gained);
  return { ...estimate, value, sd };
}

const MEASURED = ['stitches', 'rows', 'roundStitches', 'rounds', 'chains'] as const;

/**
 * What was measured of a fabric, for another piece of it: chains that reached round one thing say nothing beside another, and
 * what was read on one piece is a swatch to the next (handbook 2.1).
 */
export function gaugeElsewhere(gauge: GaugeSpec): GaugeSpec {
  const lists = MEASURED.map((key) => {
    const kept = (gauge[key] ?? []).filter(({ reaches }) => !reaches).map(({ on: _piece, ...measure }) => measure);
    return [key, kept.length > 0 ? kept : undefined] as const;
  });
  const { stitches: _s, rows: _r, roundStitches: _rs, rounds: _ro, chains: _c, ...rest } = gauge;
  return { ...rest, ...Object.fromEntries(lists.filter(([, kept]) => kept)) };
}

/** How a swatch was finished that its piece is to be finished like; nothing where there is none, or it was left as worked. */
export function finishedAs(gauge: GaugeSpec = {}): Exclude<SwatchState, 'as-worked'> | undefined {
  const swatched = MEASURED.some((key) => gauge[key]?.some(({ on, reaches }) => on !== 'piece' && !reaches));
  return swatched && gauge.state !== 'as-worked' ? gauge.state : undefined;
}
