import { lengthFault, lengthReading, parseLength, typedLength, type Method } from '@keep-snug/core';
import { useRef, type Ref } from 'react';
import type { TextInput } from 'react-native';
import { useSettings } from '@/data/settings';
import type { Emptied } from './emptied';
import { TextField } from './TextField';
import { useInstrument } from './useInstrument';
import { useTyped } from './useTyped';

export interface TypedLength {
  mm: number;
  typed: string;
  /** What it was read by, where a device sent it. */
  by?: Method;
}

type Props = LengthEmptied & {
  label: string;
  help?: string | undefined;
  /** The text it was last typed as. */
  typed?: string | undefined;
  min: number;
  max: number;
  onChange: (length: TypedLength) => void;
  /** What is asked about the value that stands there: it may be right all the same. */
  doubt?: string | undefined;
  /** Whether nothing is set, and what stands there is what is taken then. */
  isDefault?: boolean;
  /** What else is wrong with the value, told by the reckoning. */
  fault?: string | undefined;
  /** For whoever has to lead to this line. */
  inputRef?: Ref<TextInput>;
};

/** Whether it may be empty, as for numbers. */
type LengthEmptied =
  Emptied<number> extends infer One
    ? One extends { value: infer Mm }
      ? Omit<One, 'value'> & { mm: Mm }
      : never
    : never;

/**
 * A length in any unit, as typed. A value that cannot be used stays on the line with its message; what was set before
 * stays in force until it is mended.
 */
export function LengthField(props: Props) {
  const { label, help, mm, typed, min, max, onChange, onClear, onNothing, fault, inputRef } = props;
  const units = useSettings((state) => state.units);
  const limits = { min, max, units };
  const read = useRef(false);
  const { line, error, type, leave } = useTyped({
    shown: mm === undefined ? '' : typedLength({ mm, typed }, units),
    value: mm === undefined || props.isDefault ? undefined : { mm, typed: typedLength({ mm, typed }, units) },
    wrong: (text) => lengthFault(text, { ...limits, optional: onClear !== undefined }),
    take: (text) => {
      if (text.trim() === '') return onClear?.();
      const parsed = parseLength(text, units);
      if (!parsed.ok) return undefined;
      return onChange({
        mm: parsed.mm,
        typed: text.trim(),
        ...(read.current ? { by: 'calliper' as const } : {}),
      });
    },
    back: (old) => (old === undefined ? (onClear ?? onNothing)?.() : onChange(old)),
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
      hint={props.doubt ?? lengthReading(line, mm, units) ?? calipers.says ?? help ?? ''}
      keyboard="default"
      {...(inputRef ? { inputRef } : {})}
    />
  );
}
