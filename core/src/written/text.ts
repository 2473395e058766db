import type { WrittenPattern, WrittenSection } from './pattern';
import type { WrittenLine } from './lines';

/** A line in words: label, text, count in brackets, note, what it measures. */
export function lineText({ label, text, count, note, measures }: WrittenLine): string {
  return [label && `${label}:`, text, count === null ? '' : `(${count})`, note ?? '', measures ?? '']
    .filter(Boolean)
    .join(' ');
}

/** A check in words: what is looked at, and what to do where it is not so, where that was not told before. */
export const checkText = ({ look, repair }: WrittenSection['checks'][number]): string =>
  repair === null ? look : `${look} If not: ${repair}`;

function sectionText({ name, lines, checks }: WrittenSection): string {
  const checked = checks.map((check) => `  Check${check.at ? ` (${check.at})` : ''}: ${checkText(check)}`);
  return [name.toUpperCase(), ...lines.map(lineText), ...checked].join('\n');
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
