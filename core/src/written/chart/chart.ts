import type { Step } from '../../pattern';
import { laidCourses, type Laid, type LaidCourse } from './course';
import { signOf, type Sign } from './signs';

/** A sign in its place: an SVG path about its own middle, moved and turned. */
export interface ChartSign {
  sign: string;
  d: string;
  x: number;
  y: number;
  /** Degrees, clockwise. */
  turn: number;
}

interface ChartCourse {
  id: string;
  row: number;
  kind: 'row' | 'round';
  signs: ChartSign[];
  /** Its number, on the side it is begun from. */
  number: { x: number; y: number; side: 'left' | 'right' | 'middle' };
  /** What lies behind its signs: where it runs. */
  track: string;
}

/** A symbol chart, in units of a stitch’s width. */
export interface Chart {
  courses: ChartCourse[];
  key: Sign[];
  /** Left, top, width, height of it all. */
  box: readonly [x: number, y: number, w: number, h: number];
}

interface ChartAsk {
  piece: string;
  /** Which courses, counted from 1. */
  from: number;
  to: number;
  left?: boolean;
}

/** Room for numbers beside a chart, in stitches. */
const MARGIN = 2.2;
/** Height of a short stitch’s course, in stitches. */
const HIGH = 1.15;

/**
 * The symbol chart of some courses of a piece: rows to and fro, each numbered on the side it is begun from; rounds that
 * grow, about their middle; other rounds one above the other, all begun from the same side.
 *
 * @param steps all steps of the plan
 * @param ask which piece, which courses, and for which hand: for the left all lies mirrored
 * @returns nothing where no such course is there
 * @source handbook 14
 */
export function chartOf(steps: readonly Step[], ask: ChartAsk): Chart | null {
  const all = laidCourses(steps, ask.piece);
  const courses = all.filter(({ step }) => step.row! >= ask.from && step.row! <= ask.to);
  if (courses.length === 0) return null;
  const grown = growsOut(courses) ? outwards(all, courses, foundationOf(steps, ask.piece)) : upwards(courses);
  // rounds about a middle are gone round the other way with their other side facing
  const backwards = growsOut(courses) && courses.every(({ step }) => step.side === 'wrong');
  const chart = ask.left !== backwards ? mirrored(grown) : grown;
  return { ...chart, key: keyOf(courses) };
}

const foundationOf = (steps: readonly Step[], piece: string): number =>
  steps.find((step) => step.piece === piece && step.makes)?.makes?.count ?? 0;

/** Rounds that grow lie around each other; those of one count, or that narrow, one above the other. */
function growsOut(courses: readonly LaidCourse[]): boolean {
  const [first, last] = [courses[0]!, courses.at(-1)!];
  const rounds = courses.every(({ step }) => step.kind === 'round');
  return rounds && last.step.row! <= MOST_OUT && last.columns > first.columns;
}

const MOST_OUT = 40;

const path = (sign: Laid, high: number): string => {
  const { symbol } = signOf(sign.sign);
  return symbol(0, 0, Math.max(0.9, sign.wide * 0.9), high * HIGH * 0.86);
};

/** How far a lean turns a sign, degrees. */
const leaning = (lean: number, high: number): number => (Math.atan2(lean, high * HIGH) * 180) / Math.PI;

function upwards(courses: readonly LaidCourse[]): Omit<Chart, 'key'> {
  const widest = Math.max(...courses.map(({ columns }) => columns));
  let floor = 0;
  const placed = courses.map((course): ChartCourse => {
    const { step, columns, signs, high } = course;
    const middle = -(floor + (high * HIGH) / 2);
    floor += high * HIGH;
    const [left, right] = [(widest - columns) / 2, (widest + columns) / 2];
    // what has its right side facing is worked from right to left
    const fromRight = step.side !== 'wrong';
    const x = (at: number) => (fromRight ? right - at : left + at);
    return {
      id: step.id,
      row: step.row!,
      kind: step.kind === 'round' ? 'round' : 'row',
      signs: signs.map((sign) => ({
        sign: sign.sign,
        d: path(sign, high),
        x: x(sign.at),
        y: middle,
        turn: leaning(fromRight ? -sign.lean : sign.lean, high),
      })),
      number: { x: fromRight ? right + 0.5 : left - 0.5, y: middle, side: fromRight ? 'right' : 'left' },
      track: `M${left} ${-floor}H${right}`,
    };
  });
  return { courses: placed, box: [-MARGIN, -floor - 0.5, widest + 2 * MARGIN, floor + 1] };
}

/** Where a round begins its number stands, with room for it, in stitches. */
const GAP = 1.6;

/** Rounds about a middle: a point for a ring, a line for a chain that is worked round. */
function outwards(all: readonly LaidCourse[], courses: readonly LaidCourse[], chains: number): Omit<Chart, 'key'> {
  const line = Math.max(0, chains - 2);
  let radius = 0.5;
  const placed: ChartCourse[] = [];
  for (const course of all.slice(0, all.indexOf(courses.at(-1)!) + 1)) {
    const { step, signs, columns, high } = course;
    // far enough out that its stitches have room beside each other
    const room = (columns + GAP - 2 * line) / (2 * Math.PI);
    const middle = Math.max(radius + (high * HIGH) / 2, room);
    radius = middle + (high * HIGH) / 2;
    if (!courses.includes(course)) continue;
    placed.push({
      id: step.id,
      row: step.row!,
      kind: 'round',
      signs: signs.map((sign) => {
        const { x, y, turn } = onTrack((sign.at + GAP / 2) / (columns + GAP), middle, line);
        return { sign: sign.sign, d: path(sign, high), x, y, turn: turn + leaning(-sign.lean, high) };
      }),
      number: { ...onTrack(0, middle, line), side: 'middle' },
      track: track(radius, line),
    });
  }
  const half = { w: line / 2 + radius + MARGIN, h: radius + MARGIN };
  return { courses: placed, box: [-half.w, -half.h, 2 * half.w, 2 * half.h] };
}

/** A point on a track of two straight sides and two half circles, begun at the right end of the upper side and gone against the clock. */
function onTrack(share: number, radius: number, line: number): { x: number; y: number; turn: number } {
  const whole = 2 * line + 2 * Math.PI * radius;
  let along = (share - Math.floor(share)) * whole;
  if (along <= line) return { x: line / 2 - along, y: -radius, turn: 0 };
  along -= line;
  const turnOf = (arc: number) => (arc / radius) * (180 / Math.PI);
  if (along <= Math.PI * radius) {
    const angle = along / radius;
    return { x: -line / 2 - radius * Math.sin(angle), y: -radius * Math.cos(angle), turn: -turnOf(along) };
  }
  along -= Math.PI * radius;
  if (along <= line) return { x: -line / 2 + along, y: radius, turn: 180 };
  along -= line;
  const angle = along / radius;
  return { x: line / 2 + radius * Math.sin(angle), y: radius * Math.cos(angle), turn: 180 - turnOf(along) };
}

const track = (radius: number, line: number): string =>
  `M${-line / 2} ${-radius}H${line / 2}A${radius} ${radius} 0 0 1 ${line / 2} ${radius}H${-line / 2}A${radius} ${radius} 0 0 1 ${-line / 2} ${-radius}Z`;

const OTHER_SIDE = { left: 'right', right: 'left', middle: 'middle' } as const;

/** For the hook in the left hand all is begun from the other side. */
function mirrored(chart: Omit<Chart, 'key'>): Omit<Chart, 'key'> {
  const [x, y, w, h] = chart.box;
  const flip = (at: number) => 2 * x + w - at;
  return {
    box: [x, y, w, h],
    courses: chart.courses.map((course) => ({
      ...course,
      signs: course.signs.map((sign) => ({ ...sign, x: flip(sign.x), turn: -sign.turn })),
      number: {
        ...course.number,
        x: flip(course.number.x),
        side: OTHER_SIDE[course.number.side],
      },
    })),
  };
}

/** The signs that stand in it, each once, in the order they come. */
function keyOf(courses: readonly LaidCourse[]): Sign[] {
  const ids = new Set(courses.flatMap(({ signs }) => signs.map(({ sign }) => sign)));
  return [...ids].map(signOf);
}
