import { formatNumber } from '@keep-snug/core';
import { TextField } from './TextField';
import { useTyped } from './useTyped';

interface Props {
  label: string;
  value: number | undefined;
  min: number;
  max: number;
  whole?: boolean;
  unit?: string;
  help?: string;
  onChange: (value: number) => void;
  onClear?: () => void;
}

/** A plain number; one that cannot be used stays on the line with its message. */
export function NumberField({ label, value, min, max, whole = false, unit = '', help, onChange, onClear }: Props) {
  const limits = { min, max, whole, unit };
  const { line, error, type, leave } = useTyped({
    value: value === undefined ? '' : withUnit(value, unit, 3),
    wrong: (text) => (text.trim() === '' && onClear ? undefined : numberFault(text, limits)),
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      return numberFault(text, limits) ? undefined : onChange(readNumber(text, unit));
    },
  });
  return <TextField label={label} value={line} onChange={type} onBlur={leave} error={error} hint={help ?? ''} />;
}

/** A typed number, with either decimal sign, and with its unit or without. */
export function readNumber(text: string, unit = ''): number {
  const line = text.trim();
  const said = [unit, one(unit)].find((word) => word !== '' && line.endsWith(word)) ?? '';
  const bare = line.slice(0, line.length - said.length);
  return Number(bare.trim().replace(',', '.').replace('−', '-'));
}

/** A unit as it stands behind one: counts are named in the plural. */
const one = (unit: string) => unit.replace(/(?<=\w)s$/, '');

const withUnit = (n: number, unit: string, digits: number) =>
  `${formatNumber(n, digits)} ${n === 1 ? one(unit) : unit}`.trim();

interface Limits {
  min: number;
  max: number;
  whole: boolean;
  unit: string;
}

/** What is wrong with a typed number; undefined when nothing is. */
export function numberFault(text: string, { min, max, whole, unit }: Limits): string | undefined {
  const number = readNumber(text, unit);
  const say = (n: number) => withUnit(n, unit, 2);
  if (text.trim() === '') return `Nothing typed. Type a number from ${say(min)} to ${say(max)}.`;
  if (!Number.isFinite(number)) return `“${text.trim()}” is not a number. Type one from ${say(min)} to ${say(max)}.`;
  if (whole && !Number.isInteger(number)) return `${say(number)} is not whole. Type a whole number.`;
  if (number < min) return `${say(number)} is too small: ${say(min)} at the least.`;
  if (number > max) return `${say(number)} is too large: ${say(max)} at the most.`;
  return undefined;
}
