import { useController, useForm } from 'react-hook-form';

interface Typing {
  /** What stands on the line while nothing is being typed. */
  value: string;
  /** What is wrong with a typed line; undefined when nothing is. */
  wrong: (line: string) => string | undefined;
  /** Takes in what was typed, good or not. */
  take: (line: string) => void;
}

/**
 * A line that is its own little form: what is typed stays as typed until it is left, and until it is mended when
 * something is wrong with it; otherwise the line follows what changes elsewhere.
 */
export function useTyped({ value, wrong, take }: Typing) {
  const { control, resetField } = useForm({ values: { line: value }, resetOptions: { keepDirtyValues: true } });
  const { field, fieldState } = useController({
    name: 'line',
    control,
    rules: { validate: (line: string) => wrong(line) ?? true },
  });
  const error = fieldState.isDirty ? wrong(field.value) : undefined;
  return {
    line: field.value,
    error,
    type: (next: string) => {
      field.onChange(next);
      take(next);
    },
    leave: () => {
      field.onBlur();
      if (!error) resetField('line', { defaultValue: value });
    },
  };
}
