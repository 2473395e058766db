import { numberFault, readNumber, withUnit } from '@keep-snug/core';
import { TextField } from './TextField';
import { useInstrument } from './useInstrument';
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
      error={error}
      hint={scale.says ?? help ?? ''}
    />
  );
}
