import { refuseBeyond } from '../../craft/counts';
import type { WorkedFabric } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import type { Band } from '../../piece';
import { plural } from '../../base/units';
import { roundPiece } from '../common/roundPiece';
import type { Piece, ShapeContext } from '../definition';
import { CLUSTER, clusterCourses, clusterRound, clusterSides, type StripStart } from './courses';

type Mm = Figure<'mm'>;

/** Sizes of a rectangle of clusters as they follow from its strip and its rounds (law, handbook 5.7). */
export interface ClusterGauge {
  start: StripStart;
  /** A cluster along the strip: three stitches, or the height of a row. */
  pitch: Mm;
  /** What lies beside the last of them: on a chain the double that the strip ends in. */
  end: Mm;
  /** Across the strip: the height of its row, or the two clusters of one. */
  across: Mm;
  /** A round's height. */
  h: Mm;
}

/**
 * What clusters measure, by how the strip is begun.
 * @param fabric clusters, gauged in rounds
 */
export function clusterGauge(start: StripStart, fabric: WorkedFabric): ClusterGauge {
  const { rowHeight: h, stitchWidth: w } = fabric;
  if (start === 'chain')
    return { start, h, across: h, pitch: derive('mm', 'cluster = 3 w', { w }, (v) => CLUSTER * v.w), end: w };
  const end = chosen(0, 'mm', 'its rows end in groups');
  const pitch = fabric.also('double', 'rows').rowHeight;
  return { start, h, pitch, end, across: derive('mm', 'row = 2 × 3 w', { w }, (v) => 2 * CLUSTER * v.w) };
}

/** How wide so many rounds make it, mm. */
export const widthOf = ({ across, h }: ClusterGauge, rounds: number): number => across.value + 2 * rounds * h.value;

/** How long so many clusters or rows make the strip, mm (law, handbook 5.7). */
export const stripLong = (many: number, { pitch, end }: Record<'pitch' | 'end', number>): number => many * pitch + end;

/**
 * Clusters or rows of the strip that come nearest to a length under so many rounds. Rows from a ring are an odd number, 3 or more: a
 * round around them has a group in every second (handbook 14).
 */
export function stripFor({ start, pitch, end, h }: ClusterGauge, length: Mm, rounds: number): number {
  const wanted = (length.value - end.value - 2 * rounds * h.value) / pitch.value;
  return start === 'chain' ? Math.max(1, Math.round(wanted)) : Math.max(3, 2 * Math.round((wanted - 1) / 2) + 1);
}

/** The next longer strip. */
export const longer = ({ start }: ClusterGauge, length: number): number => length + (start === 'chain' ? 1 : 2);

/** What lies along each edge of its last round, between the spaces at its corners. */
function rectangleOf(start: StripStart, length: number, rounds: number): { side: number; end: number } {
  const { long, short } = clusterSides(start, length, rounds);
  return { side: CLUSTER * long, end: CLUSTER * short };
}

interface ClusterWish {
  id: string;
  name: string;
  /** Clusters or rows of its strip, and rounds around it. */
  length: number;
  rounds: number;
  gauge: ClusterGauge;
  fabric: WorkedFabric;
  wanted: { width: Mm; height: Mm };
  /** Colours of its parts by name, where they are not all alike. */
  colours: { strip?: string; last?: string };
}

/** A rectangle of clusters: its strip, and the rounds around it. */
export function clusterPiece(
  { id, name, length, rounds, gauge, fabric, wanted, colours }: ClusterWish,
  { schools }: Pick<ShapeContext, 'schools'>,
): Piece {
  const { start, pitch, end, across, h } = gauge;
  const ends = clusterRound(start, length, rounds);
  refuseBeyond(ends, 'stitches', 'thing');
  const { strip, around } = clusterCourses(start, length, rounds, schools, id);
  const many = chosen(length, '1', start === 'chain' ? 'groups in the strip' : 'rows of the strip');
  const r = chosen(rounds, 'rows', 'rounds of groups');
  const chain = start === 'chain';
  const piece = roundPiece({
    id,
    name,
    foundation: chain
      ? { kind: 'chain', count: CLUSTER * length + 4, edge: 'closed' }
      : { kind: 'ring', count: 2 * CLUSTER, edge: 'closed' },
    foundationFigure: chain
      ? derive('chains', 'chain = 3c + 3 skipped + 1', { c: many }, (v) => CLUSTER * v.c + 4)
      : chosen(2 * CLUSTER, 'stitches', 'two groups in the ring'),
    stitches: chosen(ends, 'stitches', 'in the last round'),
    runs: [
      { name: 'strip', courses: strip, fabric: { ...fabric, rowHeight: chain ? across : pitch }, wanted: pitch },
      { name: id, courses: around, fabric, wanted: wanted.width },
    ],
    main: fabric,
    width: derive('mm', 'width = strip + 2r h', { strip: across, r, h }, (v) => v.strip + 2 * v.r * v.h),
    height: derive(
      'mm',
      'height = strip’s length + 2r h',
      { many, pitch, end, r, h },
      (v) => stripLong(v.many, v) + 2 * v.r * v.h,
    ),
    summary: chain
      ? `Chain ${CLUSTER * length + 4}: a strip of ${plural(length, 'group')}, ${plural(rounds, 'round')} to ${ends} stitches`
      : `From a ring: a strip of ${plural(length, 'row')} of 2 groups, ${plural(rounds, 'round')} to ${ends} stitches`,
  });
  return { ...piece, ...coloured(piece, colours), rectangle: rectangleOf(start, length, rounds) };
}

/** The bands of a piece whose strip or last round is in a colour of its own. */
function coloured({ fabric, sections, rows }: Piece, { strip, last }: ClusterWish['colours']): Pick<Piece, 'bands'> {
  if (strip === undefined && last === undefined) return {};
  const inStrip = sections[0]!.rows;
  const bands: Band[] = [
    { fabric, from: 1, to: inStrip, ...(strip ? { colour: strip } : {}) },
    { fabric, from: inStrip + 1, to: last ? rows - 1 : rows },
    ...(last ? [{ fabric, from: rows, to: rows, colour: last }] : []),
  ];
  return { bands: bands.filter(({ from, to }) => to >= from) };
}
