import { withoutHidden } from '@keep-snug/core';
import { HelperText, TextInput } from 'react-native-paper';
import { useId, useImperativeHandle, useRef, useState, type Ref } from 'react';
import { View, type KeyboardTypeOptions, type TextInput as RNTextInput } from 'react-native';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { useLeadToRed, useRed } from './reds';
import { useSubmit } from './submit';
import { Words } from '@/ui/layout/Words';

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  /** What the field was read as, or what to do. */
  hint?: string;
  error?: string | undefined;
  keyboard?: KeyboardTypeOptions;
  multiline?: boolean;
  onFocus?: () => void;
  onBlur?: () => void;
  /** For whoever has to lead to this line. */
  inputRef?: Ref<RNTextInput>;
}

/** A line to type on, with its message in its own place. */
export function TextField({
  label,
  value,
  onChange,
  hint,
  error,
  keyboard,
  multiline,
  onFocus,
  onBlur,
  inputRef,
}: Props) {
  const colours = useColours();
  const id = useId();
  const type = useType('body');
  const small = useType('small');
  const submit = useSubmit();
  const leadToRed = useLeadToRed();
  const own = useRef<RNTextInput>(null);
  useImperativeHandle(inputRef, () => own.current!);
  useRed(error !== undefined, () => own.current?.focus());
  const [hidden, setHidden] = useState(false);
  const typed = (text: string) => {
    const clean = withoutHidden(text, multiline ? 'lines' : 'one-line');
    setHidden(clean !== text);
    onChange(clean);
  };
  const said = error ?? (hidden ? 'Hidden characters were taken out.' : (hint ?? ''));
  return (
    <View style={{ gap: 4, flexGrow: 1, flexBasis: 130 }}>
      <Words as="smallStrong">{label}</Words>
      <TextInput
        ref={own}
        mode="outlined"
        dense
        value={value}
        onChangeText={typed}
        onFocus={onFocus}
        onBlur={onBlur}
        error={error !== undefined}
        keyboardType={keyboard ?? 'default'}
        multiline={multiline ?? false}
        {...(submit && !multiline ? { onSubmitEditing: () => leadToRed() || submit() } : {})}
        aria-label={label}
        aria-describedby={id}
        aria-invalid={error !== undefined}
        autoComplete="off"
        style={[type, { backgroundColor: colours.surface, minHeight: multiline ? 96 : 48 }]}
        contentStyle={type}
      />
      <View nativeID={id} role={error ? 'alert' : undefined}>
        <HelperText
          type={error ? 'error' : 'info'}
          visible={said !== ''}
          padding="none"
          style={[small, { color: error ? colours.rowan : colours.faint, paddingVertical: 0 }]}
        >
          {said}
        </HelperText>
      </View>
    </View>
  );
}
