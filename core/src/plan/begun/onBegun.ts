import { stitchDefinition, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, measured, PlanProblem, type Figure, type PlanFault } from '../../base/figure';
import type { Course, Piece } from '../../piece';
import type { Built } from '../../shapes';
import { plural } from '../../base/units';
import { changeCourses } from './changeCourses';
import { begunCourses, runsOf } from './runs';
import type { BegunRun, BegunSpec } from '../types';

/** A shape built with these counts picked, in this fabric. */
type Build = (picks: Record<string, number>, fabric: WorkedFabric) => Built;

/** A tape laid on work in progress, sd in mm (prior, handbook 8). */
const TAPE_MM = 2;

/**
 * A shape of which courses are worked already. They stay as they stand: those on another count than what is to come keep it,
 * and the next course leads over; what the tape said of them is their height, and only the rest has that of the fabric.
 *
 * @throws PlanProblem where what is to come cannot be worked on them
 * @source handbook 8 (the worked part fixed as it is)
 */
export function onBegun(
  build: Build,
  picks: Record<string, number>,
  begun: readonly BegunSpec[],
  fabric: WorkedFabric,
): Built {
  const plain = build(picks, fabric);
  const at = begun.findIndex(({ piece }) => piece === plain.pieces[0]!.id);
  if (at < 0) return plain;
  const spec = begun[at]!;
  const standing = asItStands(fabric, plain.pieces[0]!, spec);
  const built = standing === fabric ? plain : build(picks, standing);
  const [piece] = built.pieces;
  const [first] = spec.runs;
  const done = leading(spec.runs);
  if (!first || done >= piece!.rows || first.stitches === piece!.courses[done - 1]!.ends) return built;
  return fromOtherCount(built, build({ ...picks, ...picksFor(built, first.stitches) }, standing), done, at);
}

/** Courses at the beginning that are of one count. */
function leading(runs: readonly BegunRun[]): number {
  const other = runs.findIndex(({ stitches }) => stitches !== runs[0]!.stitches);
  return (other < 0 ? runs : runs.slice(0, other)).reduce((sum, { courses }) => sum + courses, 0);
}

/** The pick by which a piece has another count, where there is one. */
function picksFor({ choices, pieces }: Built, stitches: number): Record<string, number> {
  const is = choices.find(
    ({ noun, options }) =>
      noun === 'stitches' && options.some(({ chosen: taken, count }) => taken && count === pieces[0]!.stitches),
  );
  return is ? { [is.id]: stitches } : {};
}

/** The fabric with the mean height of all rows: those worked as the tape has them, those to come as they are expected. */
function asItStands(fabric: WorkedFabric, piece: Piece, { runs }: BegunSpec): WorkedFabric {
  const mm = runs.reduce((sum, run) => sum + (run.mm ?? Number.NaN), 0);
  const done = runs.reduce((sum, { courses }) => sum + courses, 0);
  const ofOneHeight = Math.abs(piece.reach(piece.rows) - piece.rows * fabric.rowHeight.value) < 1;
  if (!(mm > 0) || done > piece.rows || !ofOneHeight) return fabric;
  const rowHeight: Figure<'mm'> = derive(
    'mm',
    'h = (worked + rest × h₀) / rows',
    {
      worked: measured(mm, 'mm', TAPE_MM, 'worked, by tape'),
      rest: chosen(piece.rows - done, 'rows', 'rows to come'),
      'h₀': fabric.rowHeight,
      rows: chosen(piece.rows, 'rows', 'rows in all'),
    },
    (v) => (v.worked + v.rest * v['h₀']!) / v.rows,
  );
  return { ...fabric, rowHeight };
}

/** Its first courses on the count they were begun with, the rest on the one that was picked. */
function fromOtherCount(next: Built, before: Built, done: number, at: number): Built {
  const [old, piece] = [before.pieces[0]!, next.pieces[0]!];
  const course = old.courses[done];
  const stitch = piece.fabric.stitch[piece.worked];
  const between = course && stitch.repeat === 1 ? changeCourses(course, piece.stitches) : undefined;
  if (!between || piece.bands || piece.rectangle || done + between.length > piece.rows)
    throw new PlanProblem([
      {
        path: `begun[${at}].runs`,
        message: `“${piece.name}” is begun on ${plural(old.stitches, 'stitch', 'stitches')}, and this plan has ${piece.stitches}: that cannot be worked from one to the other here. Pick ${old.stitches}, or pull it out and begin again.`,
      },
    ]);
  const joined = joinedPiece(old, piece, done, between);
  const tighter = before.inside.girth.value < next.inside.girth.value ? before : next;
  const wider = tighter === before ? next : before;
  return {
    ...next,
    pieces: [joined, ...next.pieces.slice(1)],
    inside: { girth: tighter.inside.girth, depth: next.inside.depth },
    outside: { ...next.outside, width: wider.outside.width },
    // its tightest part holds what goes in (law, handbook 4.3)
    model: { ...next.model, girth: (sample) => Math.min(before.model.girth(sample), next.model.girth(sample)) },
    ...(next.mouth ? { mouth: { ...next.mouth, from: Math.max(next.mouth.from, done + between.length + 1) } } : {}),
  };
}

function joinedPiece(old: Piece, piece: Piece, done: number, between: readonly Course[]): Piece {
  const from = done + between.length;
  const placed = between.map((course, index) => ({ ...course, section: piece.courses[done + index]!.section }));
  const courses = [
    ...old.courses.slice(0, done).map((course, index) => inSection(course, piece.courses[index]!)),
    ...placed,
    ...piece.courses.slice(from),
  ];
  return {
    ...piece,
    foundation: old.foundation,
    firstStitches: old.stitches,
    counts: { ...piece.counts, foundation: old.counts.foundation },
    courses,
    ...(piece.roundCounts ? { roundCounts: courses.map(({ ends }) => ends) } : {}),
    summary: `${old.summary}; ${plural(piece.stitches, 'stitch', 'stitches')} from ${piece.worked === 'rounds' ? 'round' : 'row'} ${from}`,
  };
}

const inSection = (course: Course, { section }: Course): Course =>
  course.section === section ? course : { ...course, section };

/**
 * What of a plan would undo courses that are worked already.
 *
 * @param pieces all pieces as they are planned, those of fittings too
 */
export function begunFaults(pieces: readonly Piece[], begun: readonly BegunSpec[]): PlanFault[] {
  return begun.flatMap((spec, at) => {
    const piece = pieces.find(({ id }) => id === spec.piece);
    const path = `begun[${at}]`;
    if (!piece) return [{ path: `${path}.piece`, message: noSuchPiece(spec.piece, pieces) }];
    const word = piece.worked === 'rounds' ? 'round' : 'row';
    const done = begunCourses(spec);
    if (done > piece.rows)
      return [
        {
          path: `${path}.runs`,
          message: `${plural(done, word)} of “${piece.name}” are worked already, and this plan has only ${piece.rows}. Undo the change, or pull it out to ${word} ${piece.rows}.`,
        },
      ];
    const unlike = firstUnlike(spec.runs, runsOf(piece, done));
    return unlike ? [{ path: `${path}.runs`, message: isWorked(piece, word, unlike) }] : [];
  });
}

const noSuchPiece = (id: string, pieces: readonly Piece[]): string =>
  `There is no piece “${id}” in this plan. It has: ${pieces.map((piece) => piece.id).join(', ')}.`;

interface Unlike {
  row: number;
  worked: BegunRun;
  planned: BegunRun;
}

function isWorked({ name }: Piece, word: string, { row, worked, planned }: Unlike): string {
  const said = ({ stitches, stitch }: BegunRun) =>
    `${plural(stitches, 'stitch', 'stitches')}, ${stitchDefinition(stitch) ? `{${stitch}}` : stitch}`;
  return `${word === 'row' ? 'Row' : 'Round'} ${row} of “${name}” is worked already (${said(worked)}), and this plan has it otherwise (${said(planned)}). Undo the change, or pull it out to ${word} ${row - 1}.`;
}

/** The first course that is not as it was worked. Sections may move over them: a fold is free until a side is joined. */
function firstUnlike(worked: readonly BegunRun[], planned: readonly BegunRun[]): Unlike | undefined {
  const [one, other] = [eachOf(worked), eachOf(planned)];
  const at = one.findIndex((run, index) => !isSame(run, other[index]!));
  return at < 0 ? undefined : { row: at + 1, worked: one[at]!, planned: other[at]! };
}

const eachOf = (runs: readonly BegunRun[]): BegunRun[] =>
  runs.flatMap((run) => Array.from({ length: run.courses }, () => run));

const isSame = (one: BegunRun, other: BegunRun): boolean =>
  one.stitches === other.stitches &&
  one.stitch === other.stitch &&
  one.hookMm === other.hookMm &&
  one.colour === other.colour;
