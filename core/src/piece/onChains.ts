import { baseStitch, type Instruction } from '../craft/fabric';
import type { Course, Piece } from './piece';

/**
 * A piece as its rows meet each other: what a row begins with and what the row below began with are two facts. Where that was a chain
 * that counts, the last stitch goes into its top, whatever the row itself is of; foundation stitches, and chains that do not count,
 * leave none (law, handbook 4.4, chains that count).
 *
 * @param school how a plain foundation is begun: on a chain, or with row 1 in one
 */
export function onChains(given: Piece, school: 'chain' | 'stitches'): Piece {
  const piece = inOne(given, school);
  if (!piece.courses.some(beginsCounted)) return piece;
  const courses = piece.courses.map((course, index) => {
    const below = piece.courses[index - 1];
    if (!below || course.kind !== 'row' || !course.turned || !beginsCounted(below)) return course;
    return index === 1 && piece.foundation.inOne ? course : endsInTop(course);
  });
  return { ...piece, courses };
}

/** A piece as its foundation is begun: chain and row 1 in one, where row 1 is plain and the school has it so. */
export function inOne(piece: Piece, school: 'chain' | 'stitches'): Piece {
  if (school === 'chain' || plainFoundation(piece) === undefined) return piece;
  return { ...piece, foundation: { ...piece.foundation, inOne: true } };
}

/** Whether a row begins with a chain that stands for its first stitch: its own, or chains left out of the foundation. */
const beginsCounted = ({ kind, instructions: [first, second] }: Course): boolean =>
  kind === 'row' && (standsForOne(first) || (first?.do === 'slip-along' && standsForOne(second)));

const standsForOne = (one: Instruction | undefined): boolean =>
  (one?.do === 'turning-chain' || one?.do === 'skip') && one.counts === true;

/** Courses alike stay one object. */
const known = new WeakMap<Course, Course>();

function endsInTop(course: Course): Course {
  const before = known.get(course);
  if (before) return before;
  // what leaves places for later does not come to the end of the row
  const leaves = course.instructions.some((one) => one.do === 'leave');
  const ending: Instruction[] = leaves ? course.instructions : [...course.instructions, { do: 'last-in-top' }];
  const made = { ...course, instructions: ending };
  known.set(course, made);
  return made;
}

/** The stitch whose foundation stitches can stand for chain and row 1; undefined where row 1 is more than plain. */
export function plainFoundation({ courses, stitches, worked, foundation }: Piece): string | undefined {
  const [first] = courses;
  if (!first || foundation.kind !== 'chain' || worked !== 'rows' || first.kind !== 'row') return undefined;
  const works = first.instructions.filter((one) => one.do === 'work');
  const made = works.reduce((sum, one) => sum + (one.do === 'work' ? one.times : 0), 0);
  const others = first.instructions.some((one) => one.do !== 'work' && one.do !== 'skip');
  const [only] = works;
  const plain = only?.do === 'work' && baseStitch(only.stitch) ? only.stitch : undefined;
  return !others && works.length === 1 && made >= stitches - 1 ? plain : undefined;
}
