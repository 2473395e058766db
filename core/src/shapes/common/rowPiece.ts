import { cumulativeRows, reachOf, refuseBeyond, type Reach, type RowSpan, type Span } from '../../counts';
import type { WorkedFabric } from '../../fabric';
import { chosen, derive, type Figure } from '../../figure';
import { plural } from '../../units';
import type { Foundation, Piece, Section, ShapeContext } from '../definition';
import { rowCourses } from './courses';

type Mm = Figure<'mm'>;

export interface RowPieceWish {
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
  const reach = reachOf(fabric.rowHeight.value, fabric.stitch.rowShares);
  const spans = cumulativeRows(
    wish.lengths.map(({ figure: { value: mm }, ...span }) => ({ ...span, mm })),
    reach,
  );
  const rows = spans.at(-1)!.to;
  refuseBeyond(stitches, 'stitches', 'thing');
  refuseBeyond(rows, 'courses', 'thing');
  const sections = spans.map((span, index) =>
    rowSection(span, wish.lengths[index]!.figure, fabric.rowHeight, stitches),
  );
  const chain = chainFigure(fabric, figure, schools.turningChainCounts);
  const n = chosen(stitches, 'stitches', 'stitches in a row');
  const r = chosen(rows, 'rows', 'rows in all');
  return {
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
    summary: `Chain ${chain.value}, {skip} ${chain.value - stitches + (countsFirst(fabric, schools.turningChainCounts) ? 1 : 0)}: ${plural(stitches, 'stitch', 'stitches')}, ${plural(rows, 'row')}`,
    courses: rowCourses(fabric.stitch, stitches, rows, schools, (row) => spans.find(({ to }) => row <= to)!.name),
    reach,
    fabric,
    notes: wish.notes?.(spans) ?? {},
  };
}

function countsFirst({ stitch }: WorkedFabric, turningChainCounts: boolean): boolean {
  return stitch.foundation(turningChainCounts).counts;
}

/** A section with the workings of its count: where it ends, over the row height, less the rows before it. */
export function rowSection(span: RowSpan, wanted: Mm, rowHeight: Mm, stitches: number): Section {
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
export function heightFigure(rows: Figure<'rows'>, { rowHeight, stitch }: WorkedFabric, reach: Reach): Mm {
  if (!stitch.rowShares) return derive('mm', 'height = rows × h', { rows, h: rowHeight }, (v) => v.rows * v.h);
  return derive(
    'mm',
    'height = the rows’ own heights added up, h their mean',
    { rows, h: rowHeight },
    (v) => (reach(v.rows) / rowHeight.value) * v.h,
  );
}

/** Chains of the foundation: the stitches and those skipped, less the one they stand for where they count. */
export function chainFigure(
  { stitch }: WorkedFabric,
  n: Figure<'stitches'>,
  turningChainCounts: boolean,
): Figure<'chains'> {
  const { skipped: skip, counts } = stitch.foundation(turningChainCounts);
  const skipped = chosen(skip, 'chains', 'skipped at the start of row 1');
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
