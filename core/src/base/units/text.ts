import { fixed } from './length';

/** A number for reading with at most `digits` decimals and no trailing zeros. */
export function formatNumber(value: number, digits = 1): string {
  return fixed(value, digits);
}

/** A signed number for reading: `+1.8`, `−3` with a minus, not a hyphen, `0`. */
export function formatSigned(value: number, digits = 1): string {
  const text = formatNumber(value, digits);
  return value > 0 && text !== '0' ? `+${text}` : text.replace('-', '−');
}

/** A unit as it stands behind one: counts are named in the plural. */
export const singular = (unit: string): string => unit.replace(/(?<=\w)s$/, '');

/** A number with its unit, as it stands on a line. */
export function withUnit(n: number, unit: string, digits: number): string {
  return `${formatNumber(n, digits)} ${n === 1 ? singular(unit) : unit}`.trim();
}

/** `1 row`, `12 rows`: the count with its noun. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/**
 * A chance in words: `97 times in 100`.
 *
 * @param chance a share, 0 to 1
 */
export const timesInHundred = (chance: number): string => `${plural(Math.round(100 * chance), 'time')} in 100`;

/**
 * What no text of ours may hold: control characters, halves of characters, and marks that turn the direction of what
 * follows, so that it reads as something else. A text of several lines may break them.
 */
const HIDDEN = /[\p{Cc}\p{Cs}\u2028-\u202e\u2066-\u2069\ufeff]/u;
const HIDDEN_IN_LINES = /(?![\n\t])[\p{Cc}\p{Cs}\u2028-\u202e\u2066-\u2069\ufeff]/u;

export type Lines = 'one-line' | 'lines';

/**
 * The first hidden character of a text, by its code, such as `U+202E`.
 * @returns nothing where there is none
 */
export function hiddenIn(text: string, lines: Lines = 'one-line'): string | undefined {
  const found = (lines === 'lines' ? HIDDEN_IN_LINES : HIDDEN).exec(text)?.[0];
  return found && `U+${found.codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')}`;
}

/** A text without hidden characters; line breaks of a text on one line become spaces. */
export function withoutHidden(text: string, lines: Lines = 'one-line'): string {
  const broken = lines === 'lines' ? text.replace(/\r\n?/g, '\n') : text.replace(/[\r\n\t\u2028\u2029]+/g, ' ');
  return broken.replace(new RegExp(HIDDEN_IN_LINES, 'gu'), '');
}

/** The beginning of a text on one line, as much as is taken, without half a character at its end. */
export function upTo(text: string, most: number): string {
  return withoutHidden(text.slice(0, most));
}

/** Whether nothing of a text would be seen. */
export function isBlank(text: string): boolean {
  return /^[\s\p{Cf}\u115f\u1160\u2800\u3164\uffa0]*$/u.test(text);
}

/** A word or a number with the article it takes when read aloud: "an 8 mm hook", "an 18 mm button", "a flap". */
export function withArticle(text: string): string {
  return `${/^(8|11(?!\d)|18(?!\d)|[aeio])/i.test(text) ? 'an' : 'a'} ${text}`;
}

/** Begins with a capital, a term that stands first too: `{single}` becomes `{SINGLE}`, which is filled in with one. */
export const capital = (text: string): string => text.replace(/^(\{\w+\}|.)/, (first) => first.toUpperCase());

/** Words one after the other: `rounds, joining and taller stitches`. */
export const listed = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : words.join('');
