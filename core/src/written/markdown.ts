import type { WrittenPattern, WrittenSection } from './pattern';
import type { WrittenCheck } from './lines';
import { checkWord, lineText } from './text';

/** What would be read as a sign of Markdown’s own is kept as it is written. */
const plain = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, '\\$1');

const list = (items: readonly string[]): string => items.map((item) => `- ${item}`).join('\n');

function sectionText({ name, lines }: WrittenSection): string {
  const checked = (checks: readonly WrittenCheck[], before: boolean): string[] => {
    if (checks.length === 0) return [];
    const told = checks.map((check) => {
      const { look, repair } = check;
      const word = plain(checkWord(check, before));
      return `*${word}:* ${plain(look)}${repair === null ? '' : ` *If not:* ${plain(repair)}`}`;
    });
    return [list(told)];
  };
  const told = lines.flatMap((line) => {
    const { label, ...rest } = line;
    const text = plain(lineText({ ...rest, label: '' }));
    const worked = label ? `**${plain(label)}:** ${text}` : text;
    return [...checked(line.before, true), worked, ...checked(line.after, false)];
  });
  return [`## ${plain(name)}`, ...told].join('\n\n');
}

const part = (name: string, items: readonly string[]): string[] =>
  items.length > 0 ? [`## ${name}\n\n${list(items)}`] : [];

/**
 * A written pattern as Markdown: the same as its plain text, with headings and lists that other programs know.
 *
 * @source handbook 11 and 14
 */
export function patternMarkdown(pattern: WrittenPattern): string {
  const { title, terms, facts, abbreviations, special, notes, sections, safety, made } = pattern;
  const named = (name: string, text: string) => `**${plain(name)}:** ${plain(text)}`;
  return `${[
    `# ${plain(title)}`,
    plain(terms),
    list(facts.map(({ name, text }) => named(name, text))),
    ...part(
      'Abbreviations',
      abbreviations.map(({ short, name }) => named(short, name)),
    ),
    ...part(
      'Special stitches',
      special.map(({ name, text }) => named(name, text)),
    ),
    ...part('Notes', notes.map(plain)),
    ...sections.map(sectionText),
    ...part('Safety', safety.map(plain)),
    `---\n\n${plain(made)}`,
  ].join('\n\n')}\n`;
}
