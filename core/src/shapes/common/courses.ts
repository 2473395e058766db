import {
  BASES,
  uncounted,
  type BaseId,
  type CourseContext,
  type Instruction,
  type StitchPattern,
} from '../../craft/fabric';
import type { Band } from '../../piece';
import type { ChoiceField } from '../../base/units';
import type { Course, ShapeContext, ShapeSchools } from '../definition';

/**
 * Rows from the foundation up, band upon band; rows alike share one object. Where a band leaves spaces, the next begins with a
 * plain row that takes each up by as many stitches as it spans (handbook 4.3).
 */
export function bandCourses(
  bands: readonly Band[],
  stitches: number,
  schools: ShapeSchools,
  sectionAt: (row: number) => string,
): Course[] {
  const [only] = bands;
  if (only && bands.length === 1) return rowCourses(only, stitches, schools, sectionAt, 'chain', 0);
  let levelled = 0;
  return bands.flatMap((band, index) => {
    const before = bands[index - 1];
    const level = before && levelOn(before, before.to - before.from + 1 - levelled, band.fabric.stitch, stitches);
    levelled = level ? 1 : 0;
    const rows = rowCourses(band, stitches, schools, sectionAt, before ? 'plain' : 'chain', levelled);
    if (!level) return rows;
    return [{ instructions: level, ends: stitches, kind: 'row', turned: true, section: sectionAt(band.from) }, ...rows];
  });
}

/** The plain row a band begins with where the last row before it leaves spaces; undefined where it leaves stitches. */
function levelOn({ fabric }: Band, course: number, next: StitchPattern, stitches: number): Instruction[] | undefined {
  // a band of one row may be the plain one that levelled another
  const body = course > 0 ? fabric.stitch.levelRow?.(stitches, course, next.base) : undefined;
  return body && [uncounted(next.base, 'plain'), ...body];
}

function rowCourses(
  { fabric: { stitch: pattern }, from, to }: Band,
  stitches: number,
  schools: ShapeSchools,
  sectionAt: (row: number) => string,
  upon: CourseContext['below'],
  levelled: number,
): Course[] {
  const made = new Map<string, Map<number, Course>>();
  return Array.from({ length: to - from + 1 - levelled }, (_, index) => {
    const course = index + 1;
    const first = course === 1;
    const section = sectionAt(from + levelled + index);
    const ofSection = made.get(section) ?? new Map<number, Course>();
    made.set(section, ofSection);
    return known(ofSection, first ? -1 : course % pattern.rowsInRepeat, () => ({
      instructions: pattern.row({
        stitches,
        course,
        below: first ? upon : 'pattern',
        turningChainCounts: schools.turningChainCounts,
      }),
      ends: stitches,
      kind: 'row',
      turned: from + levelled + index > 1,
      section,
    }));
  });
}

/** A base may be joined under a spiral wall, or the other way round (handbook 4.4). */
export const BASE_ROUNDS: ChoiceField = {
  key: 'baseRounds',
  kind: 'choice',
  label: 'Rounds of the base',
  options: [
    { id: 'as-all', name: 'as all rounds' },
    { id: 'joined', name: 'joined' },
    { id: 'spiral', name: 'in a spiral' },
  ],
  default: 'as-all',
};

/** How the rounds of the base are worked. */
export function baseSchools({
  options: { baseRounds },
  schools,
}: Pick<ShapeContext, 'options' | 'schools'>): ShapeSchools {
  return baseRounds === 'joined' || baseRounds === 'spiral' ? { ...schools, rounds: baseRounds } : schools;
}

/** Rounds as they are begun: what they are worked upon, and how many of the first band are there already. */
interface Begun {
  upon: 'chain' | 'plain';
  done?: number;
  /** The base stitch of the rounds below; single where nothing is said. */
  on?: BaseId;
}

/**
 * Rounds from the bottom up, band upon band; rounds alike share one object. Where a band leaves spaces, the next begins with a
 * plain round that takes each up by as many stitches as it spans (handbook 4.3).
 */
export function bandRounds(
  bands: readonly Band[],
  stitches: number,
  schools: ShapeSchools,
  section: string,
  { upon, done = 0, on = 'single' }: Begun,
): Course[] {
  const levels = levelRounds(bands, stitches, schools, done);
  return bands.flatMap((band, index) => {
    const before = bands[index - 1];
    const level = levels[index]!;
    const begins = level ? [roundOf(level, stitches, 'single', schools, section)] : [];
    const rest = Math.max(0, band.to - band.from + 1 - (index === 0 ? done : begins.length));
    const below = level ? 'single' : (before?.fabric.stitch.base ?? on);
    const { stitch } = band.fabric;
    // a stripe goes on from the round on the chain, which is its first
    const rounds = { stitches, rounds: rest, done: index === 0 && stitch.roundShares ? done : 0 };
    return [...begins, ...roundCourses(stitch, rounds, schools, section, before ? 'plain' : upon, below)];
  });
}

/** The plain round that each band begins with where the one before leaves spaces, and what follows the last of them does. */
function levelRounds(
  bands: readonly Band[],
  stitches: number,
  { rounds: school }: Pick<ShapeSchools, 'rounds'>,
  done: number,
): (Instruction[] | undefined)[] {
  let there = done;
  const levels: (Instruction[] | undefined)[] = [undefined];
  for (const { fabric, from, to } of bands) {
    const rounds = to - from + 1 - there;
    const level = rounds > 0 ? fabric.stitch.level?.(stitches, rounds, school === 'joined') : undefined;
    levels.push(level);
    there = level ? 1 : 0;
  }
  return levels;
}

/** The plain round upon the last of several bands; nothing where it leaves stitches. */
export const levelOnLast = (
  bands: readonly Band[],
  stitches: number,
  schools: Pick<ShapeSchools, 'rounds'>,
  done = 0,
): Instruction[] | undefined => levelRounds(bands, stitches, schools, done).at(-1);

/**
 * Rounds of a pattern over a chain, over plain stitches, or over itself; rounds alike share one object.
 *
 * @param done how many of its rounds there are already, worked as something else
 */
function roundCourses(
  pattern: StitchPattern,
  { stitches, rounds, done = 0 }: { stitches: number; rounds: number; done?: number },
  schools: ShapeSchools,
  section: string,
  upon: 'chain' | 'plain',
  base: BaseId,
): Course[] {
  const made = new Map<number, Course>();
  let below = base;
  return Array.from({ length: rounds }, (_, index) => {
    const course = done + index + 1;
    const first = index === 0;
    const context: CourseContext = {
      stitches,
      course,
      below: first ? upon : 'pattern',
      turningChainCounts: schools.turningChainCounts,
      joined: schools.rounds === 'joined',
    };
    return known(made, first ? -1 : course % pattern.rowsInRepeat, () => {
      const body = pattern.round(context);
      if (pattern.closesItself) return closedByItself(body, stitches, section);
      // rounds of unlike stitches rise to each taller one, and are chained up to their own
      const own = pattern.roundShares ? plainIn(body, pattern.base) : pattern.base;
      const rises = schools.rounds === 'spiral' && (first ? upon === 'plain' : pattern.roundShares !== undefined);
      const from = below;
      below = own;
      return roundOf(rises ? risingFrom(from, body) : body, stitches, own, schools, section);
    });
  });
}

/** The base stitch a plain round is worked in. */
function plainIn([first]: readonly Instruction[], base: BaseId): BaseId {
  return first?.do === 'work' && first.stitch in BASES ? (first.stitch as BaseId) : base;
}

/** Plain stitches from low to high. */
const LADDER: readonly BaseId[] = ['single', 'half-double', 'double', 'treble'];

/** A spiral that grows taller rises over the lower stitches in between: without them its first one would have to leap (handbook 4.4). */
function risingFrom(base: BaseId, body: Instruction[]): Instruction[] {
  const [first, ...rest] = body;
  if (first?.do !== 'work') return body;
  const between = LADDER.slice(LADDER.indexOf(base), Math.max(0, LADDER.indexOf(first.stitch as BaseId)));
  if (between.length === 0 || first.times <= between.length) return body;
  const steps = between.map((stitch): Instruction => ({ ...first, stitch, times: 1 }));
  return [...steps, { ...first, times: first.times - steps.length }, ...rest];
}

/** Open patterns of tall stitches cannot climb in a spiral: each of their rounds is joined. */
const isOpenTall = (body: readonly Instruction[], base: BaseId): boolean =>
  BASES[base].chainsUp > 1 && !(body.length === 1 && body[0]!.do === 'work') && body.some(holdsSpace);

function holdsSpace(one: Instruction): boolean {
  if (one.do === 'repeat') return one.of.some(holdsSpace);
  if (one.do === 'chain') return one.as === 'space';
  return one.do === 'group' && one.parts.some((part) => 'chains' in part);
}

/** Where a round's changes begin, so that those of following rounds lie nowhere above each other: by the golden section (ours). */
export const staggered = (round: number): number => ((round + 1) * 0.618034) % 1;

/** A round of loops, that holds its own end: nothing is joined across a loop. */
function closedByItself(body: Instruction[], ends: number, section: string): Course {
  const closes = body.some((one) => one.do === 'close-loop');
  const instructions = closes ? [uncounted('single', 'plain'), ...body] : body;
  return { instructions, ends, kind: 'round', turned: false, section };
}

/** One round with its beginning and end as the school has it: chained up and joined, or on in a spiral. */
export function roundOf(
  body: Instruction[],
  ends: number,
  base: BaseId,
  schools: ShapeSchools,
  section: string,
): Course {
  const spiral = schools.rounds === 'spiral' && !isOpenTall(body, base);
  const up = spiral ? body : risen(body, base, schools);
  const [first] = up;
  const join: Instruction =
    first?.do === 'turning-chain' && first.counts ? { do: 'join', into: 'chain' } : { do: 'join' };
  return { instructions: spiral ? up : [...up, join], ends, kind: 'round', turned: false, section };
}

/** Chains up; they stand for the first stitch where the school has it so and the round begins with plain stitches. */
function risen(body: Instruction[], base: BaseId, { turningChainCounts }: ShapeSchools): Instruction[] {
  const { chainsUp, neverCounts } = BASES[base];
  const [first, ...rest] = body;
  const counts =
    turningChainCounts && !neverCounts && first?.do === 'work' && first.stitch === base && first.into === 'stitch';
  if (!counts) return [{ do: 'turning-chain', chains: neverCounts ? chainsUp : chainsUp - 1, counts: false }, ...body];
  const start: Instruction[] = [
    { do: 'turning-chain', chains: chainsUp, counts: true },
    { do: 'skip', times: 1, into: 'stitch' },
  ];
  return first.times > 1 ? [...start, { ...first, times: first.times - 1 }, ...rest] : [...start, ...rest];
}

/** A base that runs in a spiral is closed before joined rounds go on from it: the step of its last round is slipped over (handbook 4.4). */
export function closedUnder(courses: Course[], base: ShapeSchools, wall: ShapeSchools): Course[] {
  const last = courses.at(-1);
  if (!last || base.rounds !== 'spiral' || wall.rounds !== 'joined') return courses;
  return [...courses.slice(0, -1), { ...last, instructions: [...last.instructions, { do: 'join' }] }];
}

function known(made: Map<number, Course>, key: number, make: () => Course): Course {
  const before = made.get(key);
  if (before) return before;
  const course = make();
  made.set(key, course);
  return course;
}
