import {
  type Counted,
  countMeasures,
  LONGEST_MM,
  METHODS,
  type GaugeMeasure,
  type GaugeSpec,
  type Method,
  type SwatchState,
} from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Fold } from '@/ui/layout/Fold';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Action } from '@/ui/actions/Action';
import { LengthField } from './LengthField';
import { NumberField } from './NumberField';
import { Pick } from './Pick';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { CountedPicture } from './CountedPicture';

const LISTS = [
  { key: 'stitches', name: 'Stitches (width)', one: 'stitches' },
  { key: 'rows', name: 'Rows (height)', one: 'rows' },
  { key: 'roundStitches', name: 'Stitches in rounds (width)', one: 'stitches in rounds' },
  { key: 'rounds', name: 'Rounds (height)', one: 'rounds' },
  { key: 'chains', name: 'Chains', one: 'chains' },
] as const;

type ListKey = (typeof LISTS)[number]['key'];

/** What is counted off where the maker has not said otherwise: from the edge of one to the edge of another. */
const asksFor = (by: Method): Asked => ({ count: 20, by, counted: 'edges' });

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
  /** What it is for: measures of the other way of working stand behind a press. */
  worked?: 'rows' | 'rounds';
}

/**
 * A swatch: so many stitches, rows, chains over a length, measured as often as wanted. A line that is asked for counts
 * only once its length is there: nothing is taken for measured that was not.
 */
export function GaugeEditor({ gauge, onChange, round = false, asks = [], worked }: Props) {
  const usual = useSettings((state) => state.measuredWith);
  const [asked, setAsked] = useState<Partial<Record<ListKey, Asked>>>(() =>
    Object.fromEntries(asks.map((key) => [key, asksFor(usual)])),
  );
  const ask = (key: ListKey, measure?: Asked) => setAsked((old) => ({ ...old, [key]: measure }));
  const isOpen = (key: ListKey) => (gauge[key]?.length ?? 0) > 0 || asked[key] !== undefined;
  const inSight = LISTS.filter(({ key }) => !worked || FIRST[worked].includes(key) || isOpen(key));
  const others = LISTS.filter((list) => !inSight.includes(list));
  const drawn = ({ key, name, one }: (typeof LISTS)[number]) => (
    <MeasureList
      key={key}
      name={name}
      one={one}
      list={gauge[key] ?? []}
      waits={asked[key]}
      piece={round && key !== 'chains'}
      onPut={(next) => onChange({ ...gauge, [key]: next })}
      onAsk={(measure) => ask(key, measure)}
      onAround={key === 'chains' && round ? () => ask(key, { reaches: 'round' }) : undefined}
      onMeasure={() => ask(key, asksFor(usual))}
    />
  );
  const thickness = (
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
  );
  return (
    <View style={{ gap: 8 }}>
      {inSight.map(drawn)}
      {worked ? (
        <Fold title="Measure something else" says={elseInALine(others.map(({ one }) => one))}>
          {others.map(drawn)}
          {thickness}
        </Fold>
      ) : (
        thickness
      )}
      {countMeasures(gauge) > 0 || Object.values(asked).some(Boolean) ? (
        <FieldRow>
          <Pick
            label="Measured with"
            value={methodIn(gauge) ?? usual}
            options={METHODS}
            onChange={(by) => {
              useSettings.getState().set({ measuredWith: by as Method });
              if (countMeasures(gauge) > 0) onChange(measuredBy(gauge, by as Method));
            }}
          />
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

/** What is measured first for a piece in rows, and for one in rounds. */
const FIRST: Readonly<Record<'rows' | 'rounds', readonly ListKey[]>> = {
  rows: ['stitches', 'rows'],
  rounds: ['roundStitches', 'rounds'],
};

const elseInALine = (others: readonly string[]): string => [...others, 'thickness'].join(', ');

interface ListProps {
  name: string;
  one: string;
  list: readonly GaugeMeasure[];
  /** A measure that is being filled in. */
  waits: Asked | undefined;
  piece: boolean;
  onPut: (list: readonly GaugeMeasure[]) => void;
  onAsk: (measure?: Asked) => void;
  onAround: (() => void) | undefined;
  onMeasure: () => void;
}

/** What was measured of one kind, as often as wanted. */
function MeasureList({ name, one, list, waits, piece, onPut, onAsk, onAround, onMeasure }: ListProps) {
  const all: readonly Asked[] = waits ? [...list, waits] : list;
  const change = (index: number, next: Asked) => {
    if (!isMeasured(next)) return onAsk(next);
    if (index < list.length) return onPut(list.map((old, at) => (at === index ? next : old)));
    onAsk();
    return onPut([...list, next]);
  };
  const takeOff = (index: number) => (index < list.length ? onPut(list.filter((_, at) => at !== index)) : onAsk());
  return (
    <View role="group" aria-label={name}>
      {all.map((measure, index) => (
        <Measured
          key={`${index} of ${all.length}`}
          name={all.length > 1 ? `${name}, ${index + 1}` : name}
          one={one}
          piece={piece}
          measure={measure}
          onChange={(next) => change(index, next)}
          onRemove={() => takeOff(index)}
        />
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {waits ? null : (
          <Action onPress={onMeasure}>
            {list.length > 0 ? `Add another measurement of ${one}` : `Measure ${one} of a swatch`}
          </Action>
        )}
        {onAround ? <Action onPress={onAround}>Measure with a chain around the item</Action> : null}
      </View>
    </View>
  );
}

/** What its measures were taken with, where that is said. */
const methodIn = (gauge: GaugeSpec): Method | undefined =>
  LISTS.flatMap(({ key }) => gauge[key] ?? []).find(({ by }) => by !== undefined)?.by;

/** A gauge that was measured with something else; what was read by calipers stays so. */
function measuredBy(gauge: GaugeSpec, by: Method): GaugeSpec {
  const before = methodIn(gauge);
  const lists = LISTS.flatMap(({ key }) => {
    const list: readonly GaugeMeasure[] = gauge[key] ?? [];
    return list.length === 0
      ? []
      : [[key, list.map((one) => (one.by === before && !one.reaches ? { ...one, by } : one))]];
  });
  return { ...gauge, ...(Object.fromEntries(lists) as Partial<GaugeSpec>) };
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
  const inLength = measure.counted === 'whole' || measure.counted === 'anywhere';
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
      {measure.reaches ? null : <HowCounted name={name} one={one} measure={measure} onChange={onChange} />}
      <FieldRow>
        <NumberField
          label={inLength ? `Whole ${one} in it` : `How many ${one}`}
          value={measure.count}
          min={1}
          max={1000}
          {...(inLength ? { help: 'A half at its end counts: 17.5.' } : {})}
          onChange={(count) => onChange({ ...measure, count })}
          onNothing={() => onChange(withoutKey(measure, 'count'))}
        />
        {measure.reaches ? (
          <Words as="small">reach just around the item</Words>
        ) : (
          <LengthField
            label={inLength ? 'Length counted in' : `Length of the ${one}`}
            mm={measure.overMm}
            typed={measure.typed}
            help={HELPS[measure.counted ?? 'edges']}
            min={1}
            max={LONGEST_MM}
            onChange={({ mm, typed, by = measure.by }) =>
              onChange({ ...measure, ...(by ? { by } : {}), overMm: mm, typed: typed.slice(0, 60) })
            }
            onNothing={() => onChange(withoutKey(withoutKey(measure, 'overMm'), 'typed'))}
          />
        )}
      </FieldRow>
      {piece ? <MeasuredOn name={name} measure={measure} onChange={onChange} /> : null}
    </View>
  );
}

/** Which two things were said: how long so many are, or how many a length holds; with how older measures were taken. */
const WAYS: readonly { id: Counted; name: (one: string) => string }[] = [
  { id: 'edges', name: (one) => `the length of so many ${one}` },
  { id: 'whole', name: () => 'how many in a length' },
  { id: 'anywhere', name: () => 'how many in a length laid anywhere' },
  { id: 'reaching', name: () => 'chained until they reached' },
];

/** Where the tape is laid. */
const HELPS: Readonly<Record<Counted, string>> = {
  edges: 'From the edge of the first to the edge of the last.',
  whole: 'Its zero on the edge of one.',
  anywhere: 'Laid down anywhere.',
  reaching: 'Along the chain.',
};

/** A swatch, or the piece itself: what was measured on that is strayed from no more. */
function MeasuredOn({ name, measure, onChange }: Omit<HowCountedProps, 'one'>) {
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
  one: string;
  measure: Asked;
  onChange: (measure: Asked) => void;
}

/** What is known of it: the two fields below follow, and with them how it was counted. */
function HowCounted({ name, one, measure, onChange }: HowCountedProps) {
  const { counted } = measure;
  const isOffered = (id: Counted) =>
    id === counted || id === 'edges' || id === (one === 'chains' ? 'reaching' : 'whole');
  return (
    <View style={{ gap: 4, paddingBottom: 4 }}>
      <Tabs
        as="radio"
        label={`${name}: what you measured`}
        options={WAYS.filter(({ id }) => isOffered(id)).map(({ id, name: words }) => ({ id, name: words(one) }))}
        // one that came in without saying it is neither yet
        value={counted ?? ('' as Counted)}
        onChange={(next) => onChange({ ...measure, counted: next })}
      />
      {counted ? <CountedPicture counted={counted} /> : null}
    </View>
  );
}
