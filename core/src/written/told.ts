import { type Schools, type Step } from '../pattern';
import { plural } from '../base/units';
import { abbreviated } from './abbreviated';
import { shortCourse } from './short';

/** The two voices of a pattern: sentences, or abbreviations. */
export type Voice = 'full' | 'short';

/** A step as it is read in a voice. */
interface ToldStep {
  text: string;
  note: string | null;
  /** What it ends on, with its unit: “16 stitches”; nothing where nothing is counted. */
  count: string | null;
}

/**
 * A step in either voice, from the same data: numbers, counts and order are the same in both.
 *
 * @source handbook 14, the written pattern
 */
export function toldStep(step: Step, voice: Voice, schools: Pick<Schools, 'terms' | 'ring'>): ToldStep {
  const count = countOf(step);
  if (voice === 'full') return { text: step.text, note: step.note, count };
  const short = (text: string) => abbreviated(text, schools.terms);
  return {
    text: step.work ? shortRow(step, schools) : short(step.text),
    note: step.note === null ? null : short(step.note),
    count: count === null ? null : short(count),
  };
}

function shortRow({ work, kind, lead, turns }: Step, { terms, ring }: Pick<Schools, 'terms' | 'ring'>): string {
  const course = shortCourse(work!, kind === 'round' ? 'round' : 'row', { terms });
  // of two chains, the first one is the ring
  const begun = ring === 'two-chains' ? course.replace(/\bin ring\b/, 'in 2nd ch from hook') : course;
  return `${lead}${begun}${turns ? ', turn' : ''}.`;
}

/** What people count at the end of a step, with its unit. */
function countOf({ counted, ends, makes, kind }: Step): string | null {
  // what is worked beside rows says its counts itself
  if (kind !== 'row' && kind !== 'round' && kind !== 'foundation') return null;
  if (counted !== null) return counted;
  if (ends === null) return null;
  return kind === 'foundation' && makes?.kind === 'chain' ? plural(ends, 'chain') : plural(ends, 'stitch', 'stitches');
}
