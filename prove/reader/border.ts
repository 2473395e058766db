import { actsOf, apart, type Act } from './acts';
import { rhythmOf } from './rhythm';

/** One course of an edging or a join: what it makes, and how many row ends each of its stretches goes along. */
export interface BorderCourse {
  makes: number;
  loops: number;
  rowEnds: number[];
  /** Along which edges it says it goes, with the stitches it finds there. */
  along: { way: string; takes: number }[];
}

const WAYS =
  /^(?:with the [a-z]+ facing, )?(?:(?:then )?through (?:both (?:layers|edgings)|all \d+ layers|both),? ?)?(?:(?:on )?(?:along|down|up|back along|across|around|over|round|stitch for stitch|on along the back alone,)[^:]*)?$/i;
const ROW_ENDS = /^(\d+) (?:.+?) along (\d+) (?:row ends?|stitch(?:es)?|chains?|spaces?|free loops?|rows?) \((.*)\)$/i;
const CORNER = /^(?:(\d+) .+ in the corner|(.+), at the corner)$/i;

/**
 * @throws Error naming the words that are not understood, or a rhythm that does not come to what is said
 */
export function borderOf(sentence: string): BorderCourse {
  const course: BorderCourse = { makes: 0, loops: 0, rowEnds: [], along: [] };
  for (const part of apart(sentence.replace(/\.$/, ''), '; ')) {
    const colon = splitWay(part);
    const before = course.makes;
    // “in the next stitch, at the corner” is one thing
    for (const act of joinedCorners(apart(colon.body, ', '))) bordered(act, course);
    if (colon.way) course.along.push({ way: colon.way.toLowerCase(), takes: course.makes - before });
  }
  return course;
}

function splitWay(part: string): { way: string; body: string } {
  const at = part.indexOf(': ');
  if (at < 0) return { way: '', body: part };
  const way = part.slice(0, at);
  if (!WAYS.test(way)) throw new Error(`not understood: ${way}:`);
  return { way, body: part.slice(at + 2) };
}

const joinedCorners = (parts: readonly string[]): string[] =>
  parts.reduce<string[]>((list, part) => {
    if (part === 'at the corner') list.push(`${list.pop()!}, ${part}`);
    else list.push(part);
    return list;
  }, []);

function bordered(words: string, course: BorderCourse): void {
  const ends = ROW_ENDS.exec(words);
  if (ends) {
    const [told, places] = [Number(ends[1]), Number(ends[2])];
    const came = rhythmOf(ends[3]!, places);
    if (came.stitches !== told || came.places !== places)
      throw new Error(`“${words}” comes to ${came.stitches} over ${came.places}`);
    course.makes += told;
    if (/ row ends? \(/.test(words)) course.rowEnds.push(places);
    return;
  }
  const corner = CORNER.exec(words);
  if (corner) {
    course.makes += corner[1] === undefined ? 1 : Number(corner[1]);
    return;
  }
  if (/^slip stitch into the stitch just made$/i.test(words) || /^chain \d+ for the loop/i.test(words)) return;
  for (const act of actsOf(words)) made(act, course, words);
}

function made(act: Act, course: BorderCourse, words: string): void {
  if (act.do === 'work') {
    if (act.places === 'rest') throw new Error(`so many as there are, of how many? ${words}`);
    const each = act.cluster
      ? act.cluster.reduce((sum, part) => sum + ('stitches' in part ? part.stitches : 0), 0)
      : act.each;
    course.makes += each * act.places;
  } else if (act.do === 'repeat') {
    const times = act.times === 'rest' ? 1 : act.times;
    const one: BorderCourse = { makes: 0, loops: 0, rowEnds: [], along: [] };
    for (const of of act.of) made(of, one, words);
    course.makes += one.makes * times;
    course.loops += one.loops * times;
  } else if (act.do === 'chain') course.loops += 1;
}
