import {
  isBlank,
  LONGEST_MM,
  STITCHES,
  stitchDefinition,
  upTo,
  type BandSpec,
  type FieldValue,
  type PlanFault,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LengthField } from '@/ui/fields/LengthField';
import { NumberField } from '@/ui/fields/NumberField';
import { faultAt, OptionFields } from '@/ui/fields/OptionFields';
import { Pick } from '@/ui/fields/Pick';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { useReader } from '@/reading/useWorked';

const MOST_BANDS = 24;

interface Props {
  bands: readonly BandSpec[];
  /** What the fabric is worked in, for the first band there is. */
  stitch: string;
  /** Whether it is worked in rows or in rounds. */
  worked: 'rows' | 'rounds';
  faults: readonly PlanFault[];
  onChange: (bands: readonly BandSpec[]) => void;
}

/** Parts of the first piece in their own stitches, in the order they are worked. None is one stitch throughout. */
export function BandFields({ bands, stitch, worked, faults, onChange }: Props) {
  const fault = faultAt(faults, 'fabric.bands');
  const more: BandSpec[] =
    bands.length === 0
      ? [
          { stitch: 'single', courses: 2 },
          { stitch, fill: true },
        ]
      : [{ stitch: 'single', courses: 2 }];
  return (
    <View role="group" aria-label="Stitch bands" style={{ gap: 12 }}>
      {bands.length > 0 ? <Words as="smallStrong">Bands, in the order they are worked</Words> : null}
      {bands.map((band, index) => (
        <BandField
          key={`${index} of ${bands.length}`}
          name={`band ${index + 1}`}
          path={`fabric.bands[${index}]`}
          band={band}
          worked={worked}
          faults={faults}
          onChange={(next) => onChange(filledOnce(bands, index, next))}
          onRemove={() => onChange(bands.filter((_, at) => at !== index))}
        />
      ))}
      {fault ? (
        <Words as="small" tone="rowan">
          {fault}
        </Words>
      ) : null}
      {bands.length < MOST_BANDS ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => onChange([...bands, ...more])}>
            {bands.length === 0 ? 'Several stitches' : 'Add a band'}
          </Action>
        </View>
      ) : null}
    </View>
  );
}

/** Only one band fills: the one that did before keeps a few rows. */
function filledOnce(bands: readonly BandSpec[], index: number, next: BandSpec): BandSpec[] {
  return bands.map((band, at) => {
    if (at === index) return next;
    return next.fill && band.fill ? sized(band, { courses: 2 }) : band;
  });
}

function sized({ courses: _courses, mm: _mm, fill: _fill, ...band }: BandSpec, long: Partial<BandSpec>): BandSpec {
  return { ...band, ...long };
}

const longOf = (worked: Props['worked']) => [
  { id: 'courses', name: `so many ${worked}` },
  { id: 'mm', name: worked === 'rows' ? 'so long' : 'so high' },
  { id: 'fill', name: 'what is left' },
];

interface BandProps {
  name: string;
  path: string;
  band: BandSpec;
  worked: Props['worked'];
  faults: readonly PlanFault[];
  onChange: (band: BandSpec) => void;
  onRemove: () => void;
}

function BandField({ name, path, band, worked, faults, onChange, onRemove }: BandProps) {
  const { terms } = useReader();
  const fault = faultAt(faults, `${path}.stitch`);
  const long = band.fill ? 'fill' : band.mm === undefined ? 'courses' : 'mm';
  const begin: Readonly<Record<string, Partial<BandSpec>>> = {
    courses: { courses: 2 },
    mm: { mm: 30 },
    fill: { fill: true },
  };
  const setPattern = (key: string, value: FieldValue | undefined) => {
    const { [key]: _old, ...pattern } = band.pattern ?? {};
    onChange({ ...band, pattern: value === undefined ? pattern : { ...pattern, [key]: value } });
  };
  return (
    <View role="group" aria-label={name} style={{ gap: 4 }}>
      <FieldRow>
        <Pick
          label={`Stitch of ${name}`}
          value={band.stitch}
          options={STITCHES.filter(({ wantsSwatch }) => !wantsSwatch).map(({ id, name: of }) => ({
            id,
            name: of[terms],
          }))}
          onChange={(stitch) => {
            const { pattern: _pattern, gauge: _gauge, ...rest } = band;
            onChange({ ...rest, stitch });
          }}
          {...(fault ? { hint: fault } : {})}
        />
        <Pick
          label={`Length of ${name}`}
          value={long}
          options={longOf(worked)}
          onChange={(id) => onChange(sized(band, begin[id]!))}
        />
        {long === 'courses' ? (
          <NumberField
            label={`${worked === 'rows' ? 'Rows' : 'Rounds'} of ${name}`}
            value={band.courses ?? 1}
            min={1}
            max={1000}
            whole
            onChange={(courses) => onChange({ ...band, courses })}
          />
        ) : null}
        {long === 'mm' ? (
          <LengthField
            label={`How ${worked === 'rows' ? 'long' : 'high'} ${name} is`}
            mm={band.mm ?? 1}
            min={1}
            max={LONGEST_MM}
            onChange={({ mm }) => onChange({ ...band, mm })}
          />
        ) : null}
        <TextField
          label={`Colour of ${name}`}
          value={band.colour ?? ''}
          onChange={(colour) => {
            const { colour: _colour, ...rest } = band;
            onChange(isBlank(colour) ? rest : { ...rest, colour: upTo(colour, 60) });
          }}
        />
      </FieldRow>
      <OptionFields
        fields={stitchDefinition(band.stitch)!.options}
        values={band.pattern ?? {}}
        path={`${path}.pattern`}
        faults={faults}
        onChange={setPattern}
      />
      <View style={{ flexDirection: 'row' }}>
        <Action label={`Remove ${name}`} onPress={onRemove}>
          Remove
        </Action>
      </View>
    </View>
  );
}
