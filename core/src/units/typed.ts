import { formatLength, parseLength, type LengthUnit } from './length';
import { formatNumber } from './text';

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

/** A typed number, with either decimal sign, and with its unit or without; NaN where it is none. */
export function readNumber(text: string, unit = ''): number {
  const line = text.trim();
  const said = [unit, one(unit)].find((word) => word !== '' && line.endsWith(word)) ?? '';
  const bare = line.slice(0, line.length - said.length);
  return Number(bare.trim().replace(',', '.').replace('−', '-'));
}

/** A unit as it stands behind one: counts are named in the plural. */
const one = (unit: string) => unit.replace(/(?<=\w)s$/, '');

/** A number with its unit, as it stands on a line. */
export function withUnit(n: number, unit: string, digits: number): string {
  return `${formatNumber(n, digits)} ${n === 1 ? one(unit) : unit}`.trim();
}

interface NumberLimits {
  min: number;
  max: number;
  whole: boolean;
  unit: string;
}

/** What is wrong with a typed number; undefined when nothing is. */
export function numberFault(text: string, { min, max, whole, unit }: NumberLimits): string | undefined {
  const number = readNumber(text, unit);
  const say = (n: number) => withUnit(n, unit, 2);
  if (text.trim() === '') return `Nothing typed. Type a number from ${say(min)} to ${say(max)}.`;
  if (!Number.isFinite(number)) return `“${text.trim()}” is not a number. Type one from ${say(min)} to ${say(max)}.`;
  if (whole && !Number.isInteger(number)) return `${say(number)} is not whole. Type a whole number.`;
  if (number < min) return `${say(number)} is too small. The smallest is ${say(min)}.`;
  if (number > max) return `${say(number)} is too large. The largest is ${say(max)}.`;
  return undefined;
}
