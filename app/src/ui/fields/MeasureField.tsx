import { METHODS, type LengthField as Field, type Measure, type Method, type Sketch } from '@keep-snug/core';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LengthField } from './LengthField';
import { Pick } from './Pick';
import { Asked } from './Asked';

interface Props {
  field: Field;
  /** Where the tape is laid, to be drawn beside it. */
  sketch: Sketch | undefined;
  measure: Measure | undefined;
  /** How it is taken unless it is said otherwise. */
  usual: Method;
  onChange: (measure: Measure) => void;
  onClear?: () => void;
  /** Taken off where a line that has to be filled holds nothing that is whole. */
  onNothing?: () => void;
  fault?: string | undefined;
}

/** One measure of a thing: the length in any unit, and how it was taken. */
export function MeasureField({
  field,
  sketch,
  measure,
  usual,
  onChange,
  onClear,
  onNothing = () => undefined,
  fault,
}: Props) {
  const by = measure?.by ?? usual;
  return (
    <View style={{ flexDirection: 'row', columnGap: 12 }}>
      <Asked sketch={sketch} at={field.key} />
      <View style={{ flex: 1 }}>
        <FieldRow>
          <LengthField
            label={field.label}
            help={field.help}
            mm={measure?.mm}
            typed={measure?.typed}
            min={field.min}
            max={field.max}
            fault={fault}
            {...(onClear ? { onClear } : { onNothing })}
            onChange={({ mm, typed, by: read = by }) => onChange({ mm, by: read, typed: typed.slice(0, 60) })}
          />
          {measure ? (
            <Pick
              label={`${field.label}: measured with`}
              value={by}
              options={METHODS}
              onChange={(next) => onChange({ ...measure, by: next as Method })}
            />
          ) : null}
        </FieldRow>
      </View>
    </View>
  );
}
