import { formatNumber, type Make, timesInHundred } from '@keep-snug/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Rect, Svg } from '@/ui/layout/ink';
import { atTheHook } from '@/ui/lists/PaceLine';
import { FieldRow } from '@/ui/layout/FieldRow';
import { figureLength } from '@/ui/lists/figureLength';
import { Panel } from '@/ui/layout/Panel';
import { Pick } from '@/ui/fields/Pick';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { finishedMake, type FinishedMake, type Fits } from '@/data/finished';
import type { LocalDocument } from '@/data/types';

interface Props {
  makes: readonly { id: string; name: string; held: LocalDocument<Make> }[];
  onClose: () => void;
}

/** Two finished makes side by side, to one scale and line by line. */
export function Compare({ makes, onClose }: Props) {
  const byMake = useEvents((state) => state.byMake);
  const [chosen, setChosen] = useState(() => [makes[0]!.id, makes[1]!.id] as const);
  const of = (id: string) => finishedMake(makes.find((make) => make.id === id)!.held.body, byMake[id] ?? []);
  const [one, other] = [of(chosen[0]), of(chosen[1])];
  const options = makes.map(({ id, name, held }) => ({ id, name: `${name}, ${day(held.body.startedAt)}` }));
  return (
    <Panel title="Compare two" onClose={onClose}>
      <FieldRow>
        <Pick label="One" value={chosen[0]} options={options} onChange={(id) => setChosen([id, chosen[1]])} />
        <Pick label="The other" value={chosen[1]} options={options} onChange={(id) => setChosen([chosen[0], id])} />
      </FieldRow>
      {one && other ? <Beside one={one} other={other} /> : <Words>One of them has a plan with an error.</Words>}
    </Panel>
  );
}

const FIT_WORDS: Readonly<Record<Fits, string>> = {
  tight: 'tight',
  right: 'just right',
  loose: 'loose',
  unsaid: 'not said',
};

function Beside({ one, other }: { one: FinishedMake; other: FinishedMake }) {
  const units = useSettings((state) => state.units);
  const size = (make: FinishedMake, name: 'width' | 'height') => {
    const { planned, made } = make.sizes.find((each) => each.of === name)!;
    return made === undefined
      ? `${figureLength(planned, units)} planned`
      : `${figureLength(made, units)}, planned ${figureLength(planned, units)}`;
  };
  const lines: readonly [string, (make: FinishedMake) => string][] = [
    [
      'Yarn',
      ({ plan: { fabric } }) =>
        fabric.yarn?.name ?? fabric.yarns?.map(({ name }) => name ?? 'yarn').join(' and ') ?? 'yarn',
    ],
    ['Hook', ({ plan: { fabric } }) => `${formatNumber(fabric.hookMm, 2)} mm`],
    ['Width', (make) => size(make, 'width')],
    ['Height', (make) => size(make, 'height')],
    ['Said to fit, begun', ({ saidAtFirst }) => timesInHundred(saidAtFirst)],
    ['Said to fit, rows done', ({ said }) => timesInHundred(said)],
    ['Sits', ({ fits }) => FIT_WORDS[fits]],
    [
      'Yarn used',
      ({ grams, planned }) =>
        `${grams === undefined ? 'not weighed' : `${formatNumber(grams, 0)} g`}, planned ${formatNumber(planned.grams, 0)} g`,
    ],
    ['Time', ({ minutes }) => (minutes === undefined ? 'not timed' : atTheHook(minutes))],
    ['For next time', ({ note }) => note ?? 'nothing noted'],
  ];
  return (
    <View style={{ gap: 12 }}>
      <ToOneScale one={one} other={other} />
      {lines.map(([name, tell]) => (
        <View key={name}>
          <Words as="smallStrong">{name}</Words>
          <View style={STYLES.row}>
            {[one, other].map((make, index) => (
              <Words key={index} as="small" style={STYLES.cell}>
                {tell(make)}
              </Words>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

const HIGH = 110;
const WIDE = 150;

/** As they came out, where they were measured; else as they were planned. */
function ToOneScale({ one, other }: { one: FinishedMake; other: FinishedMake }) {
  const colours = useColours();
  const of = ({ sizes }: FinishedMake, name: 'width' | 'height') => {
    const { planned, made } = sizes.find((each) => each.of === name)!;
    return made ?? planned;
  };
  const makes = [one, other].map((make) => ({
    title: make.title,
    width: of(make, 'width'),
    height: of(make, 'height'),
  }));
  const scale = Math.min(
    WIDE / Math.max(...makes.map(({ width }) => width)),
    HIGH / Math.max(...makes.map(({ height }) => height)),
  );
  return (
    <View style={STYLES.row}>
      {makes.map(({ title, width, height }, index) => (
        <View key={index} style={[STYLES.cell, { justifyContent: 'flex-end', gap: 4 }]}>
          <Svg width={width * scale + 4} height={height * scale + 4} aria-hidden>
            <Rect
              x={2}
              y={2}
              width={width * scale}
              height={height * scale}
              fill={colours.cloth.front}
              stroke={colours.ink}
              strokeWidth={1.5}
            />
          </Svg>
          <Words as="strong">{title}</Words>
        </View>
      ))}
    </View>
  );
}

const day = (iso: string) => new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });

const STYLES = StyleSheet.create({
  row: { flexDirection: 'row', columnGap: 16 },
  cell: { flex: 1 },
});
