import { formatLength, lengthReading, parseLength, unitDoubt } from '@keep-snug/core';
import type { Ref } from 'react';
import { View, type TextInput } from 'react-native';
import { useSettings } from '@/data/settings';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { TextField } from './TextField';
import { useInstrument } from './useInstrument';

interface Props {
  label: string;
  text: string;
  onText: (text: string) => void;
  /** What it was read as, where it could be. */
  mm: number | undefined;
  error: string | undefined;
  help: string;
  /** Between what such a length usually is, mm: outside it is asked whether another unit was meant. */
  usual: readonly [number, number] | undefined;
  /** Told when calipers have sent a length. */
  onCalipers?: () => void;
  onBlur?: () => void;
  inputRef?: Ref<TextInput>;
}

/** A length as a line of a form, kept as typed: what it is read as, and whether another unit was meant. */
export function LengthLine({ label, text, onText, mm, error, help, usual, onCalipers, onBlur, inputRef }: Props) {
  const units = useSettings((state) => state.units);
  const line = text.trim();
  const calipers = useInstrument('calliper', (value) => {
    onText(`${value} mm`);
    onCalipers?.();
  });
  const meant = unitDoubt(text, units, usual);
  // another line may be wrong, and this one read all the same
  const read = parseLength(text, units);
  const reading = error || line === '' ? undefined : lengthReading(text, mm, units);
  return (
    <>
      <TextField
        label={label}
        {...(inputRef ? { inputRef } : {})}
        value={text}
        onChange={onText}
        onFocus={calipers.focus}
        onBlur={() => {
          calipers.leave();
          onBlur?.();
        }}
        error={error}
        hint={reading ?? calipers.says ?? help}
      />
      {meant && read.ok ? (
        <View style={{ flexBasis: '100%' }}>
          <Notice
            tone="thread"
            word={`Did you mean ${meant}?`}
            text={`${line} is read as ${formatLength(read.mm, units)}.`}
          >
            <Action onPress={() => onText(`${line} ${meant}`)}>{`Use ${line} ${meant}`}</Action>
          </Notice>
        </View>
      ) : null}
    </>
  );
}
