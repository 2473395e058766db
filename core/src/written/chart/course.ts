import { BASES, baseStitch, stitchDefinition, stitchPattern } from '../../craft/fabric';
import { type Step } from '../../pattern';
import { tracedRow, type Traced, type WorkedPlace } from '../../pattern/referee';

/** One sign of a chart course: a stitch or chains, where it stands along the course and how wide, in columns. */
export interface Laid {
  /** A stitch’s id, `chain`, `loop`, `join` or `skip`. */
  sign: string;
  /** Its middle, counted in columns from where the course begins. */
  at: number;
  wide: number;
  /** How far it leans, in columns at its top against its foot. */
  lean: number;
  /** How many, for chains that are drawn as one loop. */
  count?: number;
}

/** A course laid out in working order. */
export interface LaidCourse {
  step: Step;
  columns: number;
  signs: Laid[];
  /** Height against a short stitch. */
  high: number;
}

/** The plain stitch that tells how high a stitch stands. */
function highOf(stitch: string): number {
  const base = baseStitch(stitch) ?? (stitchDefinition(stitch) ? BASES[stitchPattern(stitch).base] : BASES.single);
  return base.rowHeight / BASES.single.rowHeight;
}

const LEAN = 0.35;

/** The signs of one movement, from where it begins, in columns. */
function signsOf({ one, made }: Traced, from: number): Laid[] {
  const wide = made.reduce((sum, { columns }) => sum + columns, 0);
  const whole = (sign: string, more: Partial<Laid> = {}): Laid => ({
    sign,
    at: from + wide / 2,
    wide,
    lean: 0,
    ...more,
  });
  switch (one.do) {
    case 'work':
    case 'both-layers':
      return [whole(one.stitch)];
    case 'wrapped':
      return [whole('wrapped-half-double')];
    case 'together':
      return [whole(`${one.stitch}-together`)];
    case 'along':
      return made.map((_, index) => ({ sign: one.stitch, at: from + index + 0.5, wide: 1, lean: 0 }));
    case 'group':
      return groupSigns(one.parts, from, wide);
    case 'crossed':
      return [
        { sign: one.stitch, at: from + 1, wide: 1, lean: 2 * LEAN },
        { sign: one.stitch, at: from + 1, wide: 1, lean: -2 * LEAN },
      ];
    case 'turning-chain':
    case 'skip':
      return one.counts ? [whole('turning-chain')] : [];
    case 'chain':
      return one.as === 'space'
        ? [whole('loop', { count: one.chains })]
        : made.map((_, index) => ({ sign: 'chain', at: from + index + 0.5, wide: 1, lean: 0 }));
    case 'close-loop':
      return [whole('loop', { count: one.chains })];
    case 'loop':
      return [{ sign: 'loop', at: from, wide: 1, lean: 0, count: one.chains }];
    case 'own-row':
      return made.map((_, index) => ({ sign: 'own', at: from + index + 0.5, wide: 1, lean: 0 }));
    default:
      return [];
  }
}

/** Stitches in one place stand on one foot, fanned out; chains among them lie between. */
function groupSigns(parts: Extract<Traced['one'], { do: 'group' }>['parts'], from: number, wide: number): Laid[] {
  const middle = from + wide / 2;
  let at = from;
  return parts.flatMap((part): Laid[] => {
    const begins = at;
    at += 'stitch' in part ? part.count : part.spans;
    if (!('stitch' in part)) return [{ sign: 'chain', at: begins + part.spans / 2, wide: part.spans, lean: 0 }];
    return Array.from({ length: part.count }, (_, index) => {
      const own = begins + index + 0.5;
      return { sign: part.stitch, at: own, wide: 1, lean: LEAN * (own - middle) };
    });
  });
}

/**
 * The courses of one piece laid out for a chart, from its written steps.
 *
 * @param steps all steps of the plan, of which those of the piece are laid out
 * @returns those that can be worked over each other, from the first
 */
export function laidCourses(steps: readonly Step[], piece: string): LaidCourse[] {
  const courses: LaidCourse[] = [];
  let there: WorkedPlace[] = [];
  for (const step of steps) {
    if (step.piece !== piece) continue;
    if (step.makes) {
      const { count, kind } = step.makes;
      there = Array.from({ length: count }, () => ({ kind, columns: 1 }));
      if (step.row) courses.push(foundation(step, count));
      continue;
    }
    if (!step.work || step.row === null) continue;
    const traced = tracedRow(step.work, step.turned ? [...there].reverse() : there);
    if (!traced) return courses;
    const course = laid(step, traced);
    courses.push(course);
    there = traced.flatMap(({ made }) => [...made]);
  }
  return courses;
}

function laid(step: Step, traced: readonly Traced[]): LaidCourse {
  const signs: Laid[] = [];
  let columns = 0;
  for (const one of traced) {
    signs.push(...signsOf(one, columns));
    columns += one.made.reduce((sum, place) => sum + place.columns, 0);
  }
  return {
    step,
    columns,
    signs,
    high: Math.max(0.6, ...signs.map(({ sign }) => highOf(sign.replace('-together', '')))),
  };
}

/** Foundation stitches are chain and first row in one. */
function foundation(step: Step, count: number): LaidCourse {
  const signs = Array.from({ length: count }, (_, index): Laid => ({
    sign: 'single',
    at: index + 0.5,
    wide: 1,
    lean: 0,
  }));
  return { step, columns: count, signs, high: 1 };
}
