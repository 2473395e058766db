/**
 * Numbers as people write them: `12`, `8,2`, `1½`, `3 1/4`, `3-1/4`, `.5`, `1,000`, `1,234.5`. One reading for every field, so
 * that nothing is understood in one place and refused in another.
 */

/** A comma before exactly three digits: a thousand to some, a thousandth to others. */
type Commas = 'thousands' | 'ask';

type ReadNumber = { ok: true; value: number; fraction: boolean } | { ok: false; message: string };

const VULGAR: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** What a number may be made of, for finding where it ends and its unit begins; whether it is one is told by parseNumber. */
export const NUMBER_TEXT = String.raw`[-−+]?[\d.,/\s¼½¾⅓⅔⅛⅜⅝⅞-]*`;

const FRACTION = /^(?:(?<whole>\d+)(?:\s+|\s*-\s*))?(?<over>\d+)\s*\/\s*(?<under>\d+)$/;
const THOUSANDS = /^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/;
const CONTINENTAL = /^\d{1,3}(?:\.\d{3})+,\d+$/;
const DECIMAL = /^(?:\d*[.,]?\d+|\d+[.,])$/;

/**
 * Reads a whole text as one number. Never a part of it: what is left over refuses all of it.
 *
 * @param text without its unit
 * @param commas what `1,250` is: a thousand and more where nobody writes thousandths of that unit, else asked about
 * @returns the number, and whether it was written as a fraction; a message that names the text and the repair. Never throws
 */
export function parseNumber(text: string, commas: Commas = 'thousands'): ReadNumber {
  const typed = text.trim();
  const sign = /^[-−]/.test(typed) ? -1 : 1;
  const plain = typed
    .replace(/^[-−+]\s*/, '')
    .replace(/\s*([¼½¾⅓⅔⅛⅜⅝⅞])$/u, (_, mark: string) => ` ${VULGAR[mark]}`)
    .trim();
  const parts = FRACTION.exec(plain)?.groups;
  if (parts) {
    if (Number(parts.under) === 0) return refused(`“${typed}” divides by zero. Write it like 3 1/4.`);
    return found(sign * (Number(parts.whole ?? 0) + Number(parts.over) / Number(parts.under)), true);
  }
  if (/^\d+\s+\d+$/.test(plain)) return refused(`“${typed}” holds two numbers. Write one, such as 12 or 3 1/4.`);
  if (THOUSANDS.test(plain)) {
    const thousands = Number(plain.replaceAll(',', ''));
    const decimal = Number(plain.replace(',', '.'));
    const either = commas === 'ask' && /^[1-9]\d{0,2},\d{3}$/.test(plain);
    if (either) return refused(`“${typed}” may be ${thousands} or ${decimal}. Write ${thousands} or ${decimal}.`);
    if (!plain.startsWith('0')) return found(sign * thousands);
  }
  if (CONTINENTAL.test(plain)) return found(sign * Number(plain.replaceAll('.', '').replace(',', '.')));
  if (DECIMAL.test(plain)) return found(sign * Number(plain.replace(',', '.')));
  return refused(`“${typed}” is not a number. Write one such as 12, 8.5 or 3 1/4.`);
}

const found = (value: number, fraction = false): ReadNumber =>
  Number.isFinite(value)
    ? { ok: true, value, fraction }
    : refused('This number is too long to read. Write it shorter.');
const refused = (message: string): ReadNumber => ({ ok: false, message });

/** A number with a unit behind it, or none. */
export const ONE_AND_UNIT = new RegExp(`^(${NUMBER_TEXT})\\s*([a-z]+)?\\.?$`, 'iu');
