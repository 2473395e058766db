import { fixed } from '../length';
import { GRAMS_PER, massUnit } from './mass';
import { NUMBER_TEXT, parseNumber } from './number';
import { notUnderstood, understood, type Reading } from './reading';

/** How long a yarn is for its weight, and what one ball weighs where the text says so. */
export interface Yarnage {
  metresPer100g: number;
  ballGrams?: number;
}

/** Metres in one of each (law: the international yard is 0.9144 m). */
const METRES_PER: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  mtr: 1,
  mtrs: 1,
  yd: 0.9144,
  yds: 0.9144,
  yard: 0.9144,
  yards: 0.9144,
};

const AMOUNT = `(${NUMBER_TEXT})\\s*([a-z]+)?\\.?`;
const BOTH = new RegExp(`^${AMOUNT}\\s*(?:\\/|per|in|to|=|@|,\\s)\\s*${AMOUNT}$`, 'iu');
const ONE = new RegExp(`^${AMOUNT}$`, 'iu');

const EXAMPLE = '85 m / 50 g, 93 yd per 50 g or 170';

/**
 * Reads a yarn's length as its label says it: `85 m / 50 g`, `93 yd per 50 g`, `50 g = 85 m`, `170 m/100 g`, or `170`, which is
 * metres to 100 g.
 *
 * @returns metres to 100 g, and the ball's weight where the text names one; a message that names the text and the repair. Never throws
 */
export function parseYarnage(text: string): Reading<Yarnage> {
  const typed = text.trim();
  const both = BOTH.exec(typed);
  if (both) return ratioOf(typed, both.slice(1, 3), both.slice(3, 5));
  const [, number = '', word] = ONE.exec(typed) ?? [];
  const read = parseNumber(number, 'ask');
  if (number.trim() === '' || !read.ok)
    return notUnderstood(
      !read.ok && read.message.includes(' may be ')
        ? read.message
        : `“${typed}” is not a length for a weight. Write it as the label does, like ${EXAMPLE}.`,
    );
  if (word === undefined) return understood({ metresPer100g: read.value });
  if (METRES_PER[word.toLowerCase()])
    return notUnderstood(`${typed} to how many grams? Write it as the label does, like ${typed} / 50 g.`);
  return notUnderstood(`“${word}” is not a unit of yarn length used here. Write it like ${EXAMPLE}.`);
}

function ratioOf(typed: string, one: string[], other: string[]): Reading<Yarnage> {
  const isMass = massUnit(one[1] ?? '') !== undefined;
  const [[long = '', metre = 'm'], [heavy = '', gram = 'g']] = (isMass ? [other, one] : [one, other]) as [
    string[],
    string[],
  ];
  const [metresPer, unit] = [METRES_PER[metre.toLowerCase()], massUnit(gram)];
  if (!metresPer || !unit)
    return notUnderstood(`“${metresPer ? gram : metre}” is not a unit used here. Write it like ${EXAMPLE}.`);
  const [length, mass] = [parseNumber(long, 'ask'), parseNumber(heavy, 'ask')];
  if (!length.ok || !mass.ok || mass.value <= 0)
    return notUnderstood(`“${typed}” is not a length for a weight. Write it as the label does, like ${EXAMPLE}.`);
  const grams = mass.value * GRAMS_PER[unit];
  return understood({
    metresPer100g: tidy((length.value * metresPer * 100) / grams),
    ballGrams: tidy(grams),
  });
}

/** To a thousandth. */
const tidy = (value: number): number => Math.round(value * 1000) / 1000;

/** How long a yarn is for its weight, for reading: `170 m to 100 g`. */
export const formatYarnage = (metresPer100g: number): string => `${fixed(metresPer100g, 1)} m to 100 g`;
