import { dayText, parseDay, type Day } from '@keep-snug/core/sittings';
import { todayHere } from '@/data/hours';
import { TextField } from './TextField';
import { useTyped } from './useTyped';

interface Props {
  label: string;
  value: Day | undefined;
  onChange: (day: Day) => void;
  onClear?: () => void;
}

/** A day as people write it: Saturday, tomorrow, 5 Dec. What cannot be read stays on the line with its message. */
export function DayField({ label, value, onChange, onClear }: Props) {
  const today = todayHere();
  const { line, error, type, leave } = useTyped({
    shown: value === undefined ? '' : dayText(value),
    value,
    wrong: (text) => (text.trim() === '' || parseDay(text, today) ? undefined : faultOf(text)),
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      const day = parseDay(text, today);
      if (day) onChange(day);
    },
    back: (old) => (old === undefined ? onClear?.() : onChange(old)),
  });
  const read = parseDay(line, today);
  const hint = read ? `${dayText(read)} ${read.slice(0, 4)}` : 'Such as Saturday, or 5 Dec.';
  return <TextField label={label} value={line} onChange={type} onBlur={leave} error={error} hint={hint} />;
}

const faultOf = (text: string): string =>
  /^\d+[./-]\d+/.test(text.trim())
    ? `“${text.trim()}” may be two different days. Write the month as a word, such as 5 Dec.`
    : `“${text.trim()}” is not a day. Write one such as Saturday, or 5 Dec.`;
