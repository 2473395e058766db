import { formatLength, lengthFault, lengthReading, parseLength, type Method } from '@keep-snug/core';
import { useRef, type Ref } from 'react';
import type { TextInput } from 'react-native';
import { useSettings } from '@/state/settings';
import { TextField } from './TextField';
import { useInstrument } from './useInstrument';
import { useTyped } from './useTyped';

export interface TypedLength {
  mm: number;
  typed: string;
  /** What it was read by, where a device sent it. */
  by?: Method;
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
  /** For whoever has to lead to this line. */
  inputRef?: Ref<TextInput>;
}

/**
 * A length in any unit, as typed. A value that cannot be used stays on the line with its message; what was set before
 * stays in force until it is mended.
 */
export function LengthField({ label, help, mm, typed, min, max, onChange, onClear, fault, inputRef }: Props) {
  const units = useSettings((state) => state.units);
  const limits = { min, max, units };
  const read = useRef(false);
  const { line, error, type, leave } = useTyped({
    value: mm === undefined ? '' : (typed ?? formatLength(mm, units)),
    wrong: (text) => lengthFault(text, { ...limits, optional: onClear !== undefined }),
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      const parsed = parseLength(text, units);
      if (!parsed.ok || lengthFault(text, { ...limits, optional: false })) return undefined;
      return onChange({ mm: parsed.mm, typed: text.trim(), ...(read.current ? { by: 'calliper' as const } : {}) });
    },
  });
  const calipers = useInstrument('calliper', (value) => {
    read.current = true;
    type(`${value} mm`);
    read.current = false;
  });

  return (
    <TextField
      label={label}
      value={line}
      onChange={type}
      onFocus={calipers.focus}
      onBlur={() => {
        calipers.leave();
        leave();
      }}
      error={error ?? fault}
      hint={lengthReading(line, mm, units) ?? calipers.says ?? help ?? ''}
      keyboard="default"
      {...(inputRef ? { inputRef } : {})}
    />
  );
}
