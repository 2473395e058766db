import type { WrittenPattern, WrittenSection } from './pattern';
import type { WrittenCheck, WrittenLine } from './lines';

/** A line in words: label, text, count in brackets, note, what it measures. */
export function lineText({ label, text, count, note, measures }: WrittenLine): string {
  return [label && `${label}:`, text, count === null ? '' : `(${count})`, note ?? '', measures ?? '']
    .filter(Boolean)
    .join(' ');
}

/** A check in words: what is looked at, and what to do where it is not so, where that was not told before. */
export const checkText = ({ look, repair }: WrittenCheck): string =>
  repair === null ? look : `${look} If not: ${repair}`;

/** How a check is announced: the row it belongs to where its line has several, or that it comes first. */
export const checkWord = ({ at }: WrittenCheck, before: boolean): string =>
  before ? 'Check first' : at === '' ? 'Check' : `Check (${at})`;

function sectionText({ name, lines }: WrittenSection): string {
  const checked = (checks: readonly WrittenCheck[], before: boolean) =>
    checks.map((check) => `  ${checkWord(check, before)}: ${checkText(check)}`);
  return [
    name.toUpperCase(),
    ...lines.flatMap((line) => [...checked(line.before, true), lineText(line), ...checked(line.after, false)]),
  ].join('\n');
}

const listed = (name: string, lines: readonly string[]) => (lines.length > 0 ? [[name, ...lines].join('\n')] : []);

/** The whole pattern as plain text, with headings; nothing of it left out. */
export function patternText(pattern: WrittenPattern): string {
  const { title, terms, facts, abbreviations, special, notes, sections, safety, made } = pattern;
  return [
    [title, terms, ...facts.map(({ name, text }) => `${name}: ${text}`)].join('\n'),
    ...listed(
      'ABBREVIATIONS',
      abbreviations.map(({ short, name }) => `${short}: ${name}`),
    ),
    ...listed(
      'SPECIAL STITCHES',
      special.map(({ name, text }) => `${name}: ${text}`),
    ),
    ...listed('NOTES', notes),
    ...sections.map(sectionText),
    ...listed('SAFETY', safety),
    made,
  ].join('\n\n');
}
