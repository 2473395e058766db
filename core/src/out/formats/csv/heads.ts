import { LENGTH_UNITS, type LengthUnit } from '../../../base/units';
import { withNumbers } from './paths';
import type { CsvTable } from './tables';

/** What the cells under a head are: of which place of a document, in which unit where they are lengths. */
export interface Meaning {
  path: string;
  unit: LengthUnit;
}

/** The id of a row, where rows have one. */
export const ID = 'id';

/** The head of a column at one place: the numbers of lists, counted from 1, stand in it. */
export function headerAt({ columns }: CsvTable, template: string, path: string): string {
  const numbers = [...path.matchAll(/\[(\d+)\]/g)].map(([, index]) => String(Number(index) + 1));
  const { header } = columns.find((column) => column.path === template)!;
  return header.replace(/#/g, () => numbers.shift() ?? '1');
}

/** Words that stand for one another at the head of a table. */
const SAME: readonly (readonly [RegExp, string])[] = [
  [/^(how|the) /g, ''],
  [/\b(wide|breadth)\b/g, 'width'],
  [/\b(high|tall)\b/g, 'height'],
  [/\b(deep|thick|thickness)\b/g, 'depth'],
  [/\b(weight)\b/g, 'mass'],
  [/\b(item|title|what)\b/g, 'name'],
  [/\b(type)\b/g, 'kind'],
  [/\b(hook size)\b/g, 'hook'],
  [/\b(fiber|material)\b/g, 'fibre'],
  [/\b(color)\b/g, 'colour'],
  [/\b(in stock|stock|remaining)\b/g, 'grams left'],
  [/\b(metres|meters|length) per 100 ?g\b/g, 'metres per100g'],
];

/** A head without what says the same otherwise: case, signs, its unit. */
function bare(head: string): string {
  const words = head
    .toLowerCase()
    .replace(/\([^)]*\)/g, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
  return SAME.reduce(
    (text, [other, own]) => text.replace(other, own),
    words.replace(/ (in )?(mm|cm|inch|inches)$/, ''),
  );
}

/** The unit a head names, millimetres where it names none. */
export function unitOf(head: string): LengthUnit {
  const said = /\(([^)]*)\)\s*$/.exec(head)?.[1] ?? / (mm|cm|m|in|inch|inches)$/i.exec(head.trim())?.[1] ?? '';
  const word = said
    .trim()
    .toLowerCase()
    .replace(/^inch(es)?$|^["”″]$/, 'in');
  return LENGTH_UNITS.find((unit) => unit === word) ?? 'mm';
}

const numbered = (head: string) => head.replace(/\b\d+\b/g, '#');

/**
 * What each head of a table stands for, as far as it can be told from its words; no place is given twice.
 *
 * @source handbook 11
 */
export function guessColumns(table: CsvTable, heads: readonly string[]): (Meaning | null)[] {
  const known = new Map<string, string>();
  for (const { header, path } of table.columns) {
    const key = bare(header);
    if (!known.has(key)) known.set(key, path);
  }
  const exact = new Map(table.columns.map(({ header, path }) => [header, path]));
  const given = new Set<string>();
  return heads.map((head) => {
    const meaning = meaningOf(table, head, exact, known);
    if (!meaning || given.has(meaning.path)) return null;
    given.add(meaning.path);
    return meaning;
  });
}

function meaningOf(
  table: CsvTable,
  head: string,
  exact: ReadonlyMap<string, string>,
  known: ReadonlyMap<string, string>,
): Meaning | null {
  const unit = unitOf(head);
  if (table.identified && bare(head) === ID) return { path: ID, unit };
  const own = exact.get(head.trim()) ?? exact.get(numbered(head.trim()));
  const template = own ?? known.get(bare(head)) ?? known.get(bare(numbered(head)).replace(/ {2,}/g, ' '));
  if (template === undefined) return null;
  const numbers = (head.match(/\b\d+\b/g) ?? []).map(Number);
  return { path: template.includes('#') ? withNumbers(template, numbers) : template, unit };
}

/** How many entries of a list can be chosen by hand. */
const ENTRIES = 3;

/** All that a column may be taken for, by the head it has here. */
export function columnChoices(table: CsvTable): { path: string; header: string }[] {
  const own = table.columns.flatMap(({ path, header }) => {
    if (!path.includes('#')) return [{ path, header }];
    return Array.from({ length: ENTRIES }, (_, index) => {
      const at = withNumbers(path, [index + 1]);
      return { path: at, header: headerAt(table, path, at) };
    });
  });
  return table.identified ? [{ path: ID, header: 'id' }, ...own] : own;
}

/** The path with `#` that a path with numbers is of. */
export const templateOf = (path: string): string => path.replace(/\[\d+\]/g, '#');

/** Titles and remarks stand above the heads in no more lines than these. */
const ABOVE = 8;

/**
 * The line of a table that names its columns: the first one, or where titles stand above it the one of which the most is
 * understood.
 *
 * @param lines of cells, from the first
 * @returns its index
 */
export function headLine(table: CsvTable, lines: readonly (readonly string[])[]): number {
  const understood = lines.slice(0, ABOVE).map((cells) => guessColumns(table, cells).filter(Boolean).length);
  const most = Math.max(0, ...understood);
  return most < 2 ? 0 : understood.indexOf(most);
}
