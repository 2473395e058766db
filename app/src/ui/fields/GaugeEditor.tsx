import {
  type Counted,
  DEFAULT_METHOD,
  LONGEST_MM,
  METHODS,
  type GaugeMeasure,
  type GaugeSpec,
  type Method,
  type SwatchState,
} from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { Words } from '@/ui/layout/Words';
import { CountedPicture } from './CountedPicture';

const LISTS = [
  { key: 'stitches', name: 'Stitches (width)', one: 'stitches' },
  { key: 'rows', name: 'Rows (height)', one: 'rows' },
  { key: 'roundStitches', name: 'Stitches in rounds (width)', one: 'stitches in rounds' },
  { key: 'rounds', name: 'Rounds (height)', one: 'rounds' },
  { key: 'chains', name: 'Chains', one: 'chains' },
] as const;

type ListKey = (typeof LISTS)[number]['key'];

/** What is counted off where the maker has not said otherwise. */
const ASKED: Asked = { count: 20, by: DEFAULT_METHOD };

/** A line of a swatch while it is filled in: nothing is assumed that was not counted. */
type Asked = Partial<GaugeMeasure>;

const isMeasured = (line: Asked): line is GaugeMeasure =>
  line.count !== undefined && (line.overMm !== undefined || line.reaches !== undefined);

function withoutKey(measure: Asked, key: keyof Asked): Asked {
  const { [key]: _gone, ...rest } = measure;
  return rest;
}

const STATES: readonly { id: SwatchState; name: string }[] = [
  { id: 'as-worked', name: 'as worked' },
  { id: 'blocked', name: 'blocked' },
  { id: 'washed', name: 'washed and dried' },
];

interface Props {
  gauge: GaugeSpec;
  onChange: (gauge: GaugeSpec) => void;
  /** Whether there is a thing that a chain may be tried round. */
  round?: boolean;
  /** What is asked for from the start. */
  asks?: readonly ListKey[];
}

/**
 * A swatch: so many stitches, rows, chains over a length, measured as often as wanted. A line that is asked for counts
 * only once its length is there: nothing is taken for measured that was not.
 */
export function GaugeEditor({ gauge, onChange, round = false, asks = [] }: Props) {
  const [asked, setAsked] = useState<Partial<Record<ListKey, Asked>>>(() =>
    Object.fromEntries(asks.map((key) => [key, ASKED])),
  );
  const ask = (key: ListKey, measure?: Asked) => setAsked((old) => ({ ...old, [key]: measure }));
  return (
    <View style={{ gap: 8 }}>
      {LISTS.map(({ key, name, one }) => {
        const list: readonly GaugeMeasure[] = gauge[key] ?? [];
        const waits = asked[key];
        const all: readonly Asked[] = waits ? [...list, waits] : list;
        const put = (next: readonly GaugeMeasure[]) => onChange({ ...gauge, [key]: next });
        const change = (index: number, next: Asked) => {
          if (!isMeasured(next)) return ask(key, next);
          if (index < list.length) return put(list.map((old, at) => (at === index ? next : old)));
          ask(key);
          return put([...list, next]);
        };
        const takeOff = (index: number) => (index < list.length ? put(list.filter((_, at) => at !== index)) : ask(key));
        return (
          <View key={key} role="group" aria-label={name}>
            {all.map((measure, index) => (
              <Measured
                key={`${index} of ${all.length}`}
                name={all.length > 1 ? `${name}, ${index + 1}` : name}
                one={one}
                piece={round && key !== 'chains'}
                measure={measure}
                onChange={(next) => change(index, next)}
                onRemove={() => takeOff(index)}
              />
            ))}
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
              {waits ? null : (
                <Action onPress={() => ask(key, ASKED)}>
                  {list.length > 0 ? `Add another measurement of ${one}` : `Measure ${one} of a swatch`}
                </Action>
              )}
              {key === 'chains' && round ? (
                <Action onPress={() => ask(key, { reaches: 'round' })}>Measure with a chain around the item</Action>
              ) : null}
            </View>
          </View>
        );
      })}
      <FieldRow>
        <LengthField
          label="Thickness of two layers"
          mm={gauge.twoLayers?.mm}
          typed={gauge.twoLayers?.typed}
          help="Optional. Press two layers together between the jaws of a calliper."
          min={0.2}
          max={100}
          onChange={({ mm, typed }) =>
            onChange({ ...gauge, twoLayers: { mm, by: 'calliper', typed: typed.slice(0, 60) } })
          }
          onClear={() => {
            const { twoLayers: _layers, ...rest } = gauge;
            onChange(rest);
          }}
        />
      </FieldRow>
      {Object.values(gauge).some((list) => Array.isArray(list) && list.length > 0) ? (
        <FieldRow>
          <Pick
            label="Swatch state"
            value={gauge.state ?? 'as-worked'}
            options={STATES}
            onChange={(state) => onChange({ ...gauge, state: state as SwatchState })}
          />
        </FieldRow>
      ) : null}
    </View>
  );
}

interface MeasuredProps {
  name: string;
  one: string;
  /** Whether it may have been measured on the piece that is planned. */
  piece: boolean;
  measure: Asked;
  onChange: (measure: Asked) => void;
  onRemove: () => void;
}

function Measured({ name, one, piece, measure, onChange, onRemove }: MeasuredProps) {
  return (
    <View style={{ gap: 2 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' }}>
        <Words as="smallStrong" tone="thread">
          {name}
        </Words>
        <Action onPress={onRemove} label={`Remove: ${name}`}>
          Remove
        </Action>
      </View>
      <FieldRow>
        <NumberField
          label={`How many ${one}`}
          value={measure.count}
          min={1}
          max={1000}
          onChange={(count) => onChange({ ...measure, count })}
          onNothing={() => onChange(withoutKey(measure, 'count'))}
        />
        {measure.reaches ? <Words as="small">reach just around the item</Words> : null}
        {measure.reaches ? null : (
          <LengthField
            label={`Length of the ${one}`}
            mm={measure.overMm}
            typed={measure.typed}
            help="Measure along the stitches."
            min={1}
            max={LONGEST_MM}
            onChange={({ mm, typed, by = measure.by }) =>
              onChange({ ...measure, ...(by ? { by } : {}), overMm: mm, typed: typed.slice(0, 60) })
            }
            onNothing={() => onChange(withoutKey(withoutKey(measure, 'overMm'), 'typed'))}
          />
        )}
        {measure.reaches ? null : (
          <Pick
            label={`${name}: measured with`}
            value={measure.by ?? DEFAULT_METHOD}
            options={METHODS}
            onChange={(by) => onChange({ ...measure, by: by as Method })}
          />
        )}
      </FieldRow>
      {measure.reaches ? null : (
        <HowCounted name={name} measure={measure} chains={one === 'chains'} onChange={onChange} />
      )}
      {piece ? <MeasuredOn name={name} measure={measure} onChange={onChange} /> : null}
    </View>
  );
}

/** How the tape lay over the stitches, in words; whole ones within a length hide a half on average. */
const WAYS: readonly { id: Counted; name: string }[] = [
  { id: 'edges', name: 'from edge to edge' },
  { id: 'whole', name: 'whole ones, begun at an edge' },
  { id: 'anywhere', name: 'whole ones, laid anywhere' },
  { id: 'reaching', name: 'chained until they reached' },
];

const ofStitches = WAYS.filter(({ id }) => id !== 'reaching');
const ofChains = WAYS.filter(({ id }) => id === 'edges' || id === 'reaching');

/** A swatch, or the piece itself: what was measured on that is strayed from no more. */
function MeasuredOn({ name, measure, onChange }: Omit<HowCountedProps, 'chains'>) {
  const change = (id: string) => {
    const { on: _on, ...rest } = measure;
    onChange(id === 'piece' ? { ...rest, on: 'piece' } : rest);
  };
  return (
    <FieldRow>
      <Pick
        label={`${name}: measured on`}
        value={measure.on ?? 'swatch'}
        options={[
          { id: 'swatch', name: 'a swatch' },
          { id: 'piece', name: 'the first rows of this piece' },
        ]}
        onChange={change}
      />
    </FieldRow>
  );
}

interface HowCountedProps {
  name: string;
  measure: Asked;
  chains: boolean;
  onChange: (measure: Asked) => void;
}

/** What the tape lay over: a plan said to fit can miss by it. */
function HowCounted({ name, measure, chains, onChange }: HowCountedProps) {
  const counted = measure.counted ?? 'edges';
  const change = (id: string) => {
    const { counted: _counted, ...rest } = measure;
    onChange(id === 'edges' ? rest : { ...rest, counted: id as Counted });
  };
  return (
    <View style={{ gap: 4, paddingBottom: 8 }}>
      <FieldRow>
        <Pick
          label={`${name}: how you counted`}
          value={counted}
          options={chains ? ofChains : ofStitches}
          onChange={change}
        />
      </FieldRow>
      <CountedPicture counted={counted} />
    </View>
  );
}
