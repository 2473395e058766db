import { withDefaults, type Field, type FieldValue, type FieldValues, type PlanFault } from '@keep-snug/core';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';
import { ChoicesField } from './ChoicesField';
import { Pick } from './Pick';
import { TextField } from './TextField';
import { useWord } from '@/reading/useWord';

interface Props {
  fields: readonly Field[];
  values: FieldValues;
  /** Path of the values in the plan, for faults. */
  path: string;
  faults: readonly PlanFault[];
  onChange: (key: string, value: FieldValue | undefined) => void;
}

/** An editor drawn from a definition's own description of its options. */
export function OptionFields({ fields, values, path, faults, onChange }: Props) {
  const word = useWord();
  return (
    <FieldRow>
      {fields
        .filter(({ when }) => when?.(withDefaults(fields, values)) ?? true)
        .map((field) => {
          const unset = () => onChange(field.key, undefined);
          const clear = field.optional ? { onClear: unset } : { onNothing: unset };
          const value = values[field.key] ?? field.default;
          const help = word(field.help ?? '');
          const label = word(field.label);
          const fault = faultAt(faults, `${path}.${field.key}`);
          if (field.kind === 'choice')
            return (
              <Pick
                key={field.key}
                label={label}
                value={String(value)}
                options={field.options.map(({ id, name }) => ({ id, name: word(name) }))}
                hint={help}
                error={fault}
                onChange={(id) => onChange(field.key, id)}
              />
            );
          if (field.kind === 'text')
            return (
              <TextField
                key={field.key}
                label={label}
                hint={help}
                error={fault}
                value={String(value ?? '')}
                onChange={(text) => onChange(field.key, text.slice(0, field.max))}
                multiline={field.lines ?? false}
              />
            );
          if (field.kind === 'choices')
            return (
              <ChoicesField
                key={field.key}
                field={field}
                value={(value ?? []) as readonly string[]}
                error={fault}
                onChange={(list) => onChange(field.key, list)}
              />
            );
          const number = value === undefined ? undefined : Number(value);
          if (field.kind === 'length')
            return (
              <LengthField
                key={field.key}
                label={label}
                help={help}
                mm={number}
                isDefault={values[field.key] === undefined}
                min={field.min}
                max={field.max}
                fault={fault}
                onChange={({ mm }) => onChange(field.key, mm)}
                {...clear}
              />
            );
          return (
            <NumberField
              key={field.key}
              label={label}
              help={help}
              value={number}
              isDefault={values[field.key] === undefined}
              min={field.min}
              max={field.max}
              whole={field.whole ?? false}
              unit={field.unit}
              fault={fault}
              onChange={(next) => onChange(field.key, next)}
              {...clear}
            />
          );
        })}
    </FieldRow>
  );
}

/** The message of a fault at a path, if there is one. */
export function faultAt(faults: readonly PlanFault[], path: string): string | undefined {
  return faults.find((fault) => fault.path === path)?.message;
}
