import { NUMBER_TEXT, parseNumber } from './amounts/number';

/** The units a person may type or read a length in. Inside the program every length is millimetres. */
export type LengthUnit = 'mm' | 'cm' | 'm' | 'in';

/** Millimetres in one of each unit (exact by definition; law). */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { mm: 1, cm: 10, m: 1000, in: 25.4 };

export const LENGTH_UNITS = Object.keys(MM_PER) as LengthUnit[];

type ParsedLength = { ok: true; mm: number; unit: LengthUnit } | { ok: false; message: string };

const WORDS: Readonly<Record<string, ReadUnit>> = {
  ft: 'ft',
  feet: 'ft',
  foot: 'ft',
  yd: 'yd',
  yds: 'yd',
  yard: 'yd',
  yards: 'yd',
  metre: 'm',
  metres: 'm',
  millimetre: 'mm',
  millimetres: 'mm',
  centimetre: 'cm',
  centimetres: 'cm',
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
};

/** Feet and yards are read, never written: what is told is told in the units of a tape. */
const MM_PER_READ = { ...MM_PER, ft: 304.8, yd: 914.4 } as const;
type ReadUnit = keyof typeof MM_PER_READ;

const SHAPE = new RegExp(`^(${NUMBER_TEXT})\\s*([^\\d\\s.,/]+)?$`, 'u');
const FEET = new RegExp(
  `^(\\d+)\\s*(?:'|′|’|ft\\.?|feet|foot)\\s*(?:(${NUMBER_TEXT})\\s*(?:"|″|”|''|in\\.?|inch|inches)?)?$`,
  'iu',
);

/** What nobody writes a thousandth of, so that a comma before three digits is a thousand's. */
const FINE: ReadonlySet<ReadUnit> = new Set(['mm']);

/**
 * Reads a length as a person types it: `82`, `8,2 cm`, `3.25 in`, `3 1/4`, `3¼"`.
 * A fraction without a unit is inches, since nobody measures in fractions of a millimetre.
 *
 * @param text what was typed
 * @param bare the unit of a plain number
 * @returns millimetres and the unit of entry, or a message that names the text and the repair. Never throws.
 * @source handbook 1 (units of entry)
 */
export function parseLength(text: string, bare: LengthUnit = 'mm'): ParsedLength {
  const typed = text.trim();
  if (typed === '') return refuse('Nothing typed yet. Type a length, such as 82 mm or 3 1/4 in.');
  const feet = FEET.exec(typed);
  if (feet) return inFeet(typed, feet[1]!, feet[2]);
  const [, number = '', word] = SHAPE.exec(typed) ?? [];
  if (number.trim() === '') return refuse(`“${typed}” is not a length. Type it like 82 mm, 8,2 cm or 3 1/4 in.`);
  const isFraction = /[/¼½¾⅓⅔⅛⅜⅝⅞]/u.test(number);
  const unit = unitOf(word, isFraction ? 'in' : bare);
  if (!unit) return refuse(`“${word}” is not a unit used here. Use mm, cm, m or in.`);
  const read = parseNumber(number, FINE.has(unit) ? 'thousands' : 'ask');
  if (!read.ok) return refuse(refusalOf(typed, read.message));
  return { ok: true, mm: tidy(read.value * MM_PER_READ[unit]), unit: shownIn(unit) };
}

/** Feet and inches, such as 5 ft 3 1/2 in. */
function inFeet(typed: string, feet: string, inches: string | undefined): ParsedLength {
  const read = inches?.trim() ? parseNumber(inches, 'ask') : { ok: true as const, value: 0 };
  if (!read.ok || read.value < 0 || read.value >= 12)
    return refuse(`“${typed}” is not a length in feet and inches. Type it like 5 ft 3 1/2 in.`);
  return { ok: true, mm: tidy(Number(feet) * MM_PER_READ.ft + read.value * MM_PER.in), unit: 'in' };
}

/** What is wrong with the number is said of the length that was typed. */
function refusalOf(typed: string, message: string): string {
  if (/ divides by zero| holds two numbers| may be /.test(message)) return message;
  return `“${typed}” is not a length. Type it like 82 mm, 8,2 cm or 3 1/4 in.`;
}

const shownIn = (unit: ReadUnit): LengthUnit => (unit === 'ft' || unit === 'yd' ? 'in' : unit);

/** To a millionth of a millimetre, so that 7 in is 177.8 and not a hair less. */
function tidy(mm: number): number {
  return Math.round(mm * 1e6) / 1e6;
}

function unitOf(word: string | undefined, otherwise: LengthUnit): ReadUnit | undefined {
  return word === undefined ? otherwise : WORDS[word.toLowerCase()];
}

function refuse(message: string): ParsedLength {
  return { ok: false, message };
}

/** How finely each unit is shown: half of this is the most a shown length can be off, in mm. */
export const SHOWN_STEP_MM: Readonly<Record<LengthUnit, number>> = { mm: 0.1, cm: 0.1, m: 1, in: 25.4 / 16 };

/**
 * Writes a length for reading: `94.4 mm`, `9.44 cm`, `0.094 m`, `3 11/16 in`.
 *
 * @param mm the length in millimetres
 * @param unit the unit to show
 * @returns text rounded to SHOWN_STEP_MM of that unit; parseLength reads it back
 */
export function formatLength(mm: number, unit: LengthUnit = 'mm'): string {
  return `${formatLengthNumber(mm, unit)} ${unit}`;
}

/** What is shorter than this is told to its tenth, or sixteenth: as no tape shows it, but a needle does, mm. */
const BELOW_TAPE_MM = 10;

/**
 * A length as a tape is read: whole millimetres or eighths of an inch; a metre and more of millimetres in centimetres,
 * `125 cm`. What is very short keeps its tenths.
 *
 * @param rounded to which mark, where not the nearest
 */
export function formatOnTape(
  mm: number,
  unit: LengthUnit = 'mm',
  rounded: (marks: number) => number = Math.round,
): string {
  if (Math.abs(mm) < BELOW_TAPE_MM) return formatLength(rounded(mm * 10 * (1 + 1e-12)) / 10, unit);
  if (unit === 'in') return formatLength((rounded((mm / MM_PER.in) * 8) / 8) * MM_PER.in, unit);
  if (unit === 'mm' && Math.abs(mm) >= MM_PER.m) return `${fixed(rounded(mm / MM_PER.cm), 0)} cm`;
  return formatLength(rounded(mm * (1 + 1e-12)), unit);
}

/** A tape's mark is met by what lies so near it. */
const ON_THE_MARK = 1e-6;

/** The most that may be, as a tape is read: never told to be more. */
export const formatMost = (mm: number, unit: LengthUnit = 'mm'): string =>
  formatOnTape(mm, unit, (marks) => Math.floor(marks + ON_THE_MARK));

/** The least that must be, as a tape is read: never told to be less. */
export const formatLeast = (mm: number, unit: LengthUnit = 'mm'): string =>
  formatOnTape(mm, unit, (marks) => Math.ceil(marks - ON_THE_MARK));

/** The number of formatLength without its unit, for places where the unit stands once beside many numbers. */
export function formatLengthNumber(mm: number, unit: LengthUnit = 'mm'): string {
  if (unit === 'in') return sixteenths(mm / MM_PER.in);
  const digits = { mm: 1, cm: 2, m: 3 }[unit];
  return fixed(mm / MM_PER[unit], digits);
}

function sixteenths(inches: number): string {
  const total = Math.round(Math.abs(inches) * 16);
  const sign = inches < 0 && total > 0 ? '-' : '';
  const whole = Math.floor(total / 16);
  const rest = total % 16;
  if (rest === 0) return `${sign}${whole}`;
  const shared = [8, 4, 2, 1].find((d) => rest % d === 0) ?? 1;
  const fraction = `${rest / shared}/${16 / shared}`;
  return whole === 0 ? `${sign}${fraction}` : `${sign}${whole} ${fraction}`;
}

/** A number with at most so many decimals, halves rounded away from nothing: 82.55 -> 82.6, 94.0 -> 94. */
export function fixed(value: number, digits: number): string {
  // what is half in decimal can lie a hair below it in binary
  return trimZeros((value * (1 + 1e-12)).toFixed(digits));
}

/** Drops the zeros a fixed number of decimals leaves behind, and the sign of nothing: 94.0 -> 94, -0.0 -> 0. */
function trimZeros(text: string): string {
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
}

/** A text that is a number alone, with its unit behind it: what it was read as stays with it, wherever it goes. */
export function withItsUnit(text: string, unit: LengthUnit): string {
  const typed = text.trim();
  return /[^\d\s.,/¼½¾⅓⅔⅛⅜⅝⅞-]/u.test(typed) ? typed : `${typed} ${unit}`;
}

/**
 * A length as its maker typed it, where that still says the same in the unit that is used now; else written in that unit.
 *
 * @param units what a number alone is read as
 */
export function typedLength({ mm, typed }: { mm: number; typed?: string | undefined }, units: LengthUnit): string {
  const read = typed === undefined ? undefined : parseLength(typed, units);
  return typed !== undefined && read?.ok && Math.abs(read.mm - mm) < 1e-6 ? typed : formatLength(mm, units);
}
