import { amountIn } from './amounts';
import { formatLength, parseLength, type LengthUnit } from './length';

interface LengthLimits {
  min: number;
  max: number;
  units: LengthUnit;
  optional: boolean;
}

/**
 * What is wrong with a typed length: the value, the limit, the repair; undefined when nothing is.
 * @param text as typed; its limits are mm, `units` those of a number without one
 */
export function lengthFault(text: string, { min, max, units, optional }: LengthLimits): string | undefined {
  if (text.trim() === '' && optional) return undefined;
  const parsed = parseLength(text, units);
  if (!parsed.ok) return parsed.message;
  const say = (mm: number) => formatLength(mm, parsed.unit);
  if (parsed.mm < min)
    return `${say(parsed.mm)} is too small. The smallest is ${say(min)}. Check the number and its unit.`;
  if (parsed.mm > max)
    return `${say(parsed.mm)} is too large. The largest is ${say(max)}. Check the number and its unit.`;
  return undefined;
}

/** What a length typed in another unit comes to in the reader's own: `= 82.6 mm`; undefined where the text says so itself. */
export function lengthReading(text: string, mm: number | undefined, units: LengthUnit): string | undefined {
  if (mm === undefined) return undefined;
  const own = formatLength(mm, units);
  return own === text.trim() || own.startsWith(`${text.trim()} `) ? undefined : `= ${own}`;
}

/** A typed number as all of its text is understood, in its unit or another one of its kind; NaN where it is none. */
export function readNumber(text: string, unit = ''): number {
  const read = amountIn(unit).read(text);
  return read.ok ? read.value : Number.NaN;
}

interface NumberLimits {
  min: number;
  max: number;
  whole: boolean;
  unit: string;
}

/** What is wrong with a typed number; undefined when nothing is. */
export function numberFault(text: string, { min, max, whole, unit }: NumberLimits): string | undefined {
  const amount = amountIn(unit);
  const say = amount.echo;
  if (text.trim() === '') return `Nothing typed. Type a number from ${say(min)} to ${say(max)}.`;
  const read = amount.read(text);
  if (!read.ok) return read.message;
  return amountFault(read.value, { min, max, whole }, say);
}

/** What is wrong with an amount that was understood; undefined when nothing is. */
export function amountFault(
  value: number,
  { min, max, whole }: Omit<NumberLimits, 'unit'>,
  say: (value: number) => string,
): string | undefined {
  if (whole && !Number.isInteger(value)) return `${say(value)} is not whole. Type a whole number.`;
  if (value < min) return `${say(value)} is too small. The smallest is ${say(min)}.`;
  if (value > max) return `${say(value)} is too large. The largest is ${say(max)}.`;
  return undefined;
}
