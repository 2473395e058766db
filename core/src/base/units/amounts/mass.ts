import { fixed } from '../length';
import { ONE_AND_UNIT, parseNumber } from './number';
import { notUnderstood, understood, type Amount, type Reading } from './reading';

/** Grams in one of each (law: the international pound is 453.59237 g). */
export const GRAMS_PER = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const;
type MassUnit = keyof typeof GRAMS_PER;

const WORDS: Readonly<Record<string, MassUnit | 'ball'>> = {
  g: 'g',
  gr: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  ball: 'ball',
  balls: 'ball',
  skein: 'ball',
  skeins: 'ball',
  hank: 'ball',
  hanks: 'ball',
};

/** The unit of mass that a word names; nothing where it names none. */
export const massUnit = (word: string): MassUnit | undefined => {
  const unit = WORDS[word.toLowerCase()];
  return unit === 'ball' ? undefined : unit;
};

const TIMES = /^(\d+)\s*(?:[x×*]|balls?(?:\s+of)?|skeins?(?:\s+of)?|hanks?(?:\s+of)?)\s*(\d.*)$/iu;

const EXAMPLE = '120 g, 4 oz or 2 balls';

/**
 * Reads what there is of a yarn: `120`, `120 g`, `4 oz`, `2 balls`, `1 x 100 g`, `2 balls of 50 g`, `2 balls + 20 g`.
 *
 * @param ballGrams what one ball weighs, where that is known, g
 * @returns grams; a message that names the text and the repair. Never throws
 */
export function parseMass(text: string, ballGrams?: number): Reading {
  const parts = text.split('+').map((part) => partOf(part, text, ballGrams));
  const wrong = parts.find((part) => !part.ok);
  if (wrong) return wrong;
  return understood(tidy(parts.reduce((sum, part) => sum + (part.ok ? part.value : 0), 0)));
}

function partOf(part: string, whole: string, ballGrams: number | undefined): Reading {
  const typed = part.trim();
  const times = TIMES.exec(typed);
  if (times) {
    const each = partOf(times[2]!, whole, ballGrams);
    return each.ok ? understood(Number(times[1]) * each.value) : each;
  }
  const [, number = '', word = 'g'] = ONE_AND_UNIT.exec(typed) ?? [];
  const unit = WORDS[word.toLowerCase()];
  const read = parseNumber(number, unit === 'g' || unit === undefined ? 'thousands' : 'ask');
  if (number.trim() === '' || !read.ok)
    return notUnderstood(
      !read.ok && read.message.includes(' may be ')
        ? read.message
        : `“${whole.trim()}” is not a weight. Write it like ${EXAMPLE}.`,
    );
  if (!unit) return notUnderstood(`“${word}” is not a unit of weight used here. Write it like ${EXAMPLE}.`);
  if (unit !== 'ball') return understood(read.value * GRAMS_PER[unit]);
  if (ballGrams === undefined)
    return notUnderstood(`What one ball weighs is not known. Write “${fixed(read.value, 2)} x 50 g”, or the grams.`);
  return understood(read.value * ballGrams);
}

/** To a thousandth of a gram. */
const tidy = (grams: number): number => Math.round(grams * 1000) / 1000;

/** Grams for reading. */
export const formatGrams = (grams: number): string => `${fixed(grams, 3)} g`;

/** A mass kept in grams. */
export const massWith = (ballGrams?: number): Amount => ({
  example: EXAMPLE,
  read: (text) => parseMass(text, ballGrams),
  write: formatGrams,
  echo: formatGrams,
});

export const GRAMS: Amount = massWith();
