import { amountFault, amountIn, type Amount } from '@keep-snug/core';
import type { Emptied } from './emptied';
import { TextField } from './TextField';
import { useInstrument } from './useInstrument';
import { useTyped } from './useTyped';

type Props = Emptied<number> & {
  label: string;
  min: number;
  max: number;
  whole?: boolean;
  unit?: string;
  /** How it is read and written, where the unit alone does not say it. */
  amount?: Amount;
  help?: string | undefined;
  /** What is asked about the value that stands there: it may be right all the same. */
  doubt?: string | undefined;
  /** Whether nothing is set, and what stands there is what is taken then. */
  isDefault?: boolean;
  /** What else is wrong with the value, told by the reckoning. */
  fault?: string | undefined;
  onChange: (value: number) => void;
};

/** A number with its unit, in any of the ways people write it; one that cannot be used stays on the line with its message. */
export function NumberField(props: Props) {
  const { label, value, min, max, whole = false, unit = '', help, onChange, onClear, onNothing } = props;
  const amount = props.amount ?? amountIn(unit);
  const understood = (text: string) => amount.read(text);
  const wrong = (text: string): string | undefined => {
    if (text.trim() === '')
      return onClear ? undefined : `Nothing typed. Type a number from ${amount.echo(min)} to ${amount.echo(max)}.`;
    const read = understood(text);
    return read.ok ? amountFault(read.value, { min, max, whole }, amount.echo) : read.message;
  };
  const { line, error, type, leave } = useTyped({
    shown: value === undefined ? '' : amount.write(value),
    value: props.isDefault ? undefined : value,
    wrong,
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      const read = understood(text);
      if (read.ok) onChange(read.value);
    },
    back: (old) => (old === undefined ? (onClear ?? onNothing)?.() : onChange(old)),
  });
  const scale = useInstrument(unit === 'g' ? 'scale' : null, (grams) => type(`${grams} g`));
  return (
    <TextField
      label={label}
      value={line}
      onChange={type}
      onFocus={scale.focus}
      onBlur={() => {
        scale.leave();
        leave();
      }}
      error={error ?? props.fault}
      hint={props.doubt ?? scale.says ?? echoOf(amount, line) ?? help ?? ''}
    />
  );
}

/** What a line was understood as, where it says it otherwise. */
function echoOf(amount: Amount, line: string): string | undefined {
  const read = amount.read(line);
  if (!read.ok || line.trim() === '') return undefined;
  const echo = amount.echo(read.value);
  const says = [echo, amount.write(read.value)].some(
    (text) => text === line.trim() || text.startsWith(`${line.trim()} `),
  );
  return says ? undefined : `= ${echo}`;
}
