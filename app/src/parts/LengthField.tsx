import { formatLength, parseLength, type LengthUnit } from '@keep-snug/core';
import { useSettings } from '@/state/settings';
import { TextField } from './TextField';
import { useTyped } from './useTyped';

export interface TypedLength {
  mm: number;
  typed: string;
}

interface Props {
  label: string;
  help?: string | undefined;
  mm: number | undefined;
  /** The text it was last typed as. */
  typed?: string | undefined;
  min: number;
  max: number;
  onChange: (length: TypedLength) => void;
  /** Called when the field is emptied, where it may be. */
  onClear?: () => void;
  /** What else is wrong with the value, told by the reckoning. */
  fault?: string | undefined;
}

/**
 * A length in any unit, as typed. A value that cannot be used stays on the line with its message; what was set before
 * stays in force until it is mended.
 */
export function LengthField({ label, help, mm, typed, min, max, onChange, onClear, fault }: Props) {
  const units = useSettings((state) => state.units);
  const limits = { min, max, units };
  const { line, error, type, leave } = useTyped({
    value: mm === undefined ? '' : (typed ?? formatLength(mm, units)),
    wrong: (text) => lengthFault(text, { ...limits, optional: onClear !== undefined }),
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      const parsed = parseLength(text, units);
      if (!parsed.ok || lengthFault(text, { ...limits, optional: false })) return undefined;
      return onChange({ mm: parsed.mm, typed: text.trim() });
    },
  });

  return (
    <TextField
      label={label}
      value={line}
      onChange={type}
      onBlur={leave}
      error={error ?? fault}
      hint={reading(line, mm, units) ?? help ?? ''}
      keyboard="default"
    />
  );
}

interface Limits {
  min: number;
  max: number;
  units: LengthUnit;
  optional: boolean;
}

/** What is wrong with a typed length: the value, the limit, the repair; undefined when nothing is. */
export function lengthFault(text: string, { min, max, units, optional }: Limits): string | undefined {
  if (text.trim() === '' && optional) return undefined;
  const parsed = parseLength(text, units);
  if (!parsed.ok) return parsed.message;
  const say = (mm: number) => formatLength(mm, parsed.unit);
  if (parsed.mm < min)
    return `${say(parsed.mm)} is too small: ${say(min)} at the least. Check the number and its unit.`;
  if (parsed.mm > max) return `${say(parsed.mm)} is too large: ${say(max)} at the most. Check the number and its unit.`;
  return undefined;
}

/** What a length written in another unit comes to in the reader's own. */
function reading(text: string, mm: number | undefined, units: LengthUnit): string | undefined {
  const parsed = parseLength(text, units);
  if (!parsed.ok || mm === undefined) return undefined;
  const own = formatLength(parsed.mm, units);
  return own === text.trim() || formatLength(parsed.mm, units).startsWith(`${text.trim()} `) ? undefined : `= ${own}`;
}
