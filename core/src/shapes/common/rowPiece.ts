import {
  bandSpans,
  cumulativeRows,
  fixedMm,
  fixedRows,
  reachOf,
  reachOfBands,
  refuseBeyond,
  rowsInBands,
  type BandRows,
  type Reach,
  type RowSpan,
  type Span,
} from '../../craft/counts';
import { countTold, type WorkedBand, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { inOne, type Band } from '../../piece';
import { mmToken, plural } from '../../base/units';
import type { Foundation, Piece, Section, ShapeContext } from '../definition';
import { bandCourses } from './courses';

type Mm = Figure<'mm'>;

interface RowPieceWish {
  id: string;
  name: string;
  times?: number;
  fabric: WorkedFabric;
  stitches: Figure<'stitches'>;
  /** Lengths of its sections along the rows' height, in the order they are worked. */
  lengths: readonly (Omit<Span, 'mm'> & { figure: Mm })[];
  edge: Foundation['edge'];
  notes?: (sections: readonly RowSpan[]) => Record<number, string>;
}

/** A rectangle worked in rows on a chain, divided along its height by whole rows. */
export function rowPiece(wish: RowPieceWish, { schools }: Pick<ShapeContext, 'schools'>): Piece {
  const { fabric, stitches: figure } = wish;
  const stitches = figure.value;
  const { spans, reach } = inRows(wish);
  const rows = spans.at(-1)!.to;
  refuseBeyond(stitches, 'stitches', 'thing');
  refuseBeyond(rows, 'courses', 'thing');
  const sections = spans.map((span, index) =>
    rowSection(span, wish.lengths[index]!.figure, fabric.rowHeight, stitches),
  );
  const bands = bandsIn(fabric, rows);
  const first = bands?.[0]?.fabric ?? fabric;
  const chain = chainFigure(first, figure, schools.turningChainCounts);
  const n = chosen(stitches, 'stitches', 'stitches in a row');
  const r = chosen(rows, 'rows', 'rows in all');
  const courses = bandCourses(
    bands ?? [{ fabric, from: 1, to: rows }],
    stitches,
    schools,
    (row) => spans.find(({ to }) => row <= to)!.name,
  );
  const piece: Piece = {
    id: wish.id,
    name: wish.name,
    times: wish.times ?? 1,
    worked: 'rows',
    foundation: { kind: 'chain', count: chain.value, edge: wish.edge },
    stitches,
    rows,
    counts: { foundation: chain, stitches: figure, rows: r },
    width: derive('mm', 'width = n × w', { n, w: fabric.stitchWidth }, (v) => v.n * v.w),
    height: heightFigure(r, fabric, reach),
    sections,
    summary: `Chain ${chain.value}, {skip} ${chain.value - stitches + (countsFirst(first, schools.turningChainCounts) ? 1 : 0)}: ${countTold(stitches, courses[0]!.instructions, first.stitch)}, ${plural(rows, 'row')}`,
    courses,
    reach,
    fabric,
    ...(bands ? { bands } : {}),
    notes: wish.notes?.(spans) ?? {},
  };
  return inOne(piece, schools.foundation);
}

/** Sections in whole rows. Of several bands the one that fills takes what the others leave, so that the whole comes out. */
function inRows({ fabric, lengths }: RowPieceWish): { spans: RowSpan[]; reach: Reach } {
  const asked = lengths.map(({ figure: { value: mm }, ...span }) => ({ ...span, mm }));
  const bands = fabric.bands?.map(rowsOfBand);
  if (!bands) {
    const reach = reachOfOne(fabric);
    return { spans: cumulativeRows(asked, reach), reach };
  }
  const whole = asked.reduce((sum, { mm }) => sum + mm, 0);
  let rows = rowsInBands(bands, whole) ?? refuseBands(fixedMm(bands), whole);
  for (;;) {
    const reach = reachOfBands(bands, rows);
    // the last boundary is the piece's own end
    const before = whole - asked.at(-1)!.mm;
    const spans = cumulativeRows([...asked.slice(0, -1), { ...asked.at(-1)!, mm: reach(rows) - before }], reach);
    const { to } = spans.at(-1)!;
    // a row fewer, so that two faces end level, must leave one to fill
    if (to < fixedRows(bands) + 1) {
      const even = cumulativeRows(level(asked, reach(rows + 1)), reach);
      return even.at(-1)!.to < fixedRows(bands) + 1 ? refuseBands(fixedMm(bands), whole) : { spans: even, reach };
    }
    if (to <= rows) return { spans, reach };
    rows = to;
  }
}

/** Sections that end level, each half of a length. */
const level = <T extends Span>(asked: readonly T[], mm: number): T[] =>
  asked.map((span) => ({ ...span, mm: mm / asked.length }));

/** How high so many courses of one fabric reach, those of a stripe by their own heights. */
export const reachOfOne = ({ rowHeight, stitch, worked }: WorkedFabric): Reach =>
  reachOf(rowHeight.value, worked === 'rounds' ? stitch.roundShares : stitch.rowShares);

/**
 * How high so many rows of a piece reach before it is divided: of several bands by the rows there are in all.
 *
 * @param rows in all, where they are counted; else as many as come nearest to `mm`
 */
export function reachIn(fabric: WorkedFabric, mm: number, rows?: number): Reach {
  if (!fabric.bands) return reachOfOne(fabric);
  const bands = fabric.bands.map(rowsOfBand);
  const least = fixedRows(bands) + 1;
  return reachOfBands(bands, Math.max(least, rows ?? rowsInBands(bands, mm) ?? least));
}

/** How high a piece of so many courses is: band upon band, each of its own heights (law, handbook 3 and 4.3). */
export function longOf(fabric: WorkedFabric, rows: number): number {
  if (!fabric.bands) return reachOfOne(fabric)(rows);
  return reachOfBands(fabric.bands.map(rowsOfBand), rows)(rows);
}

const rowsOfBand = ({ fabric, courses }: WorkedBand): BandRows => ({ courses, reach: reachOfOne(fabric) });

/**
 * Rows in all that come nearest to a length, of a fabric of several bands.
 * @throws PlanProblem where nothing is left to fill
 */
export function rowsOfBands({ bands = [] }: WorkedFabric, mm: number): number {
  const rows = bands.map(rowsOfBand);
  return rowsInBands(rows, mm) ?? refuseBands(fixedMm(rows), mm);
}

/** Rows of the bands beside the one that fills, and what they measure, mm. */
export function besideFill({ bands = [] }: WorkedFabric): { rows: number; mm: number } {
  const all = bands.map(rowsOfBand);
  return { rows: fixedRows(all), mm: fixedMm(all) };
}

/** What so many rows measure, each by its own height. */
export function rowsLong(name: string, rows: Figure<'rows'>, fabric: WorkedFabric): Mm {
  const h = fabric.rowHeight;
  if (isOfOneHeight(fabric)) return derive('mm', `${name} = rows × h`, { rows, h }, (v) => v.rows * v.h);
  const n = chosen(longOf(fabric, rows.value) / h.value, 'rows', 'rows, each by its own height');
  return derive('mm', `${name} = rows × h`, { rows: n, h }, (v) => v.rows * v.h);
}

const isOfOneHeight = ({ bands, stitch, worked }: WorkedFabric): boolean =>
  !bands && (worked === 'rounds' ? stitch.roundShares : stitch.rowShares) === undefined;

/** How uncertain the height of the other bands is beyond what they share with the one that fills, mm. */
function besideSpread({ rowHeight, bands = [] }: WorkedFabric): number {
  const shared = (rowHeight.sd ?? 0) / rowHeight.value;
  const own = bands.map(({ courses = 0, fabric: { rowHeight: h } }) => {
    const spread = (h.sd ?? 0) / h.value;
    return courses * h.value * Math.sqrt(Math.max(0, spread * spread - shared * shared));
  });
  return Math.hypot(...own);
}

/** So many rows, those of unlike heights as so many of the mean, or of the band that fills, as are as high. */
export function alikeRows(rows: Figure<'rows'>, fabric: WorkedFabric): Figure<'rows'> {
  if (isOfOneHeight(fabric)) return rows;
  const h = fabric.rowHeight.value;
  const figure = chosen(longOf(fabric, rows.value) / h, 'rows', 'rows, each by its own height');
  const sd = besideSpread(fabric) / h;
  return sd > 0 ? { ...figure, sd } : figure;
}

/**
 * Refuses bands that leave nothing to fill.
 * @throws PlanProblem always
 */
function refuseBands(takes: number, whole: number): never {
  throw new PlanProblem([
    {
      path: 'fabric.bands',
      message: `The bands beside the one that fills take ${mmToken(takes)}, and the piece is ${mmToken(whole)}: nothing is left to fill. Give them fewer rows.`,
    },
  ]);
}

/** Where each of its bands begins and ends in so many rows; nothing where it is of one. */
export function bandsIn({ bands }: WorkedFabric, rows: number): Band[] | undefined {
  if (!bands) return undefined;
  const spans = bandSpans(bands.map(rowsOfBand), rows);
  return bands.map(({ courses: _courses, ...band }, index) => ({ ...band, ...spans[index]! }));
}

function countsFirst({ stitch }: WorkedFabric, turningChainCounts: boolean): boolean {
  return stitch.foundation(turningChainCounts).counts;
}

/** A section with the workings of its count: where it ends, over the row height, less the rows before it. */
function rowSection(span: RowSpan, wanted: Mm, rowHeight: Mm, stitches: number): Section {
  const before = chosen(span.from - 1, 'rows', 'rows before it');
  const count = derive(
    'rows',
    'round((before × h + wanted) / h) − before, boundaries counted from the beginning',
    { wanted, h: rowHeight, before },
    () => span.rows,
  );
  return { ...span, stitches, count };
}

/** The height of so many rows; of a repeat of unlike ones by adding them up. */
function heightFigure(rows: Figure<'rows'>, { rowHeight, stitch, bands }: WorkedFabric, reach: Reach): Mm {
  if (!stitch.rowShares && !bands)
    return derive('mm', 'height = rows × h', { rows, h: rowHeight }, (v) => v.rows * v.h);
  return derive(
    'mm',
    'height = the rows’ own heights added up, h their mean',
    { rows, h: rowHeight },
    (v) => (reach(v.rows) / rowHeight.value) * v.h,
  );
}

/** Chains of the foundation: the stitches and those skipped, less the one they stand for where they count. */
function chainFigure({ stitch }: WorkedFabric, n: Figure<'stitches'>, turningChainCounts: boolean): Figure<'chains'> {
  const { skipped: skip, counts } = stitch.foundation(turningChainCounts);
  const skipped = chosen(skip, 'chains', 'left out at the start of row 1');
  if (!counts) return derive('chains', 'chain = n + skipped', { n, skipped }, (v) => v.n + v.skipped);
  return derive(
    'chains',
    'chain = n + skipped − 1, since those skipped stand for the first stitch',
    { n, skipped },
    (v) => v.n + v.skipped - 1,
  );
}

/** What a section of whole rows measures, with its workings; rows of a stripe count by their own heights. */
export function sectionLong({ name, rows: count, mm }: Section, { rowHeight }: WorkedFabric): Mm {
  const rows = chosen(count, 'rows', `rows of the ${name}`);
  const share = mm / (count * rowHeight.value);
  return derive('mm', `${name} = rows × h`, { rows, h: rowHeight }, (v) => v.rows * v.h * share);
}

/**
 * How wide a piece is seen from outside, mm: as wide as its narrowest band, but where a wider one has none that is narrower
 * on both its sides to hold it, or where the tape says so, it bulges (prior, handbook 4.3).
 */
export function outerWidth({ width, stitches, bands }: Piece): Mm {
  if (!bands) return width;
  const widths = bands.map(({ fabric: { stitchWidth } }) => stitchWidth);
  const narrowest = (list: readonly Mm[]) => Math.min(...list.map(({ value }) => value));
  const held = widths.map((w, index) => {
    if (bands[index]!.taped) return w.value;
    const sides = [widths.slice(0, index), widths.slice(index + 1)];
    return Math.min(w.value, Math.max(...sides.map(narrowest)));
  });
  const bulge = widths[held.indexOf(Math.max(...held))]!;
  if (Math.max(...held) <= narrowest(widths)) return width;
  const n = chosen(stitches, 'stitches', 'stitches in a row');
  return derive('mm', 'width = n × w of the band that bulges', { n, w: bulge }, (v) => v.n * v.w);
}
