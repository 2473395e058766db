import { formatKnown, formatLength, LONGEST_MM, type LengthUnit } from '@keep-snug/core';
import type { Told } from '@keep-snug/core/photograph';
import { useState } from 'react';
import { Modal, ScrollView, useWindowDimensions, View } from 'react-native';
import { Portal } from 'react-native-paper';
import { Action } from '@/ui/actions/Action';
import { chooseFile } from '@/platform/chooseFile';
import { IconAction } from '@/ui/actions/IconAction';
import { Circle, Line, Path, Rect, Svg } from '@/ui/layout/ink';
import { LengthField } from '@/ui/fields/LengthField';
import { LongWork } from '@/ui/notices/LongWork';
import { Notice } from '@/ui/notices/Notice';
import { Pick } from '@/ui/fields/Pick';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Table } from './Table';
import { useMeasuring, type Mode } from './useMeasuring';

/** A measure that a picture may fill. */
export interface Target {
  id: string;
  name: string;
}

interface Props {
  targets: readonly Target[];
  onUse: (target: string, told: Told) => void;
  onClose: () => void;
}

const MODES = [
  { id: 'length', name: 'A length' },
  { id: 'outline', name: 'All round it' },
] as const;

const CORNERS = ['First', 'Second', 'Third', 'Fourth'];

/** A picture of the item with a card beside it, and what it tells of its sizes. */
export function PhotoRoom({ targets, onUse, onClose }: Props) {
  const colours = useColours();
  const wide = useWide();
  const screen = useWindowDimensions();
  const measuring = useMeasuring();
  const { standing, fault } = measuring;
  const choose = (capture: boolean, take: typeof measuring.open) =>
    void chooseFile('image/*', capture ? 'environment' : undefined).then((file) => file && take(file));
  const handles = !standing
    ? []
    : standing.measuring
      ? standing.places.map((at, index) => ({ name: `Mark ${index + 1} on the item`, at }))
      : standing.corners.map((at, index) => ({ name: `${CORNERS[index]} corner of the card`, at }));
  return (
    <Modal visible onRequestClose={onClose} aria-label="Measure from a photograph">
      {/* what opens over this room belongs to it */}
      <Portal.Host>
        <View style={{ flex: 1, backgroundColor: colours.chalk }}>
          <View style={{ flexDirection: 'row', alignItems: 'center', paddingLeft: 20, paddingRight: 8, paddingTop: 4 }}>
            <Words as="heading" level={2} style={{ flex: 1 }}>
              Measure from a photograph
            </Words>
            <IconAction label="Close" icon="close" onPress={onClose} />
          </View>
          <ScrollView contentContainerStyle={{ padding: 20, paddingTop: 4, gap: 14 }}>
            {measuring.working ? <LongWork says={measuring.working} onStop={measuring.stop} /> : null}
            {fault ? <Notice tone="rowan" word="Not yet" text={fault} /> : null}
            {standing ? (
              <View style={{ flexDirection: wide ? 'row' : 'column', gap: 20 }}>
                <View style={wide ? { flex: 2 } : undefined}>
                  <Table
                    picture={standing.picture}
                    height={screen.height * (wide ? 0.8 : 0.5)}
                    card={standing.corners}
                    handles={handles}
                    closed={measuring.mode === 'outline'}
                    marks={standing.marks}
                    onMove={standing.measuring ? measuring.movePlace : measuring.moveCorner}
                    onDone={measuring.settle}
                  />
                </View>
                <View style={{ flex: wide ? 1 : undefined, gap: 12 }}>
                  {standing.measuring ? (
                    <MeasureStep
                      measuring={measuring}
                      targets={targets}
                      onUse={onUse}
                      onMore={() => choose(false, measuring.openMore)}
                    />
                  ) : (
                    <CardStep measuring={measuring} />
                  )}
                </View>
              </View>
            ) : (
              <Start onChoose={(capture) => choose(capture, measuring.open)} />
            )}
          </ScrollView>
        </View>
      </Portal.Host>
    </Modal>
  );
}

type Measuring = ReturnType<typeof useMeasuring>;

function Start({ onChoose }: { onChoose: (capture: boolean) => void }) {
  return (
    <View style={{ gap: 12, maxWidth: 560 }}>
      <Words>
        Lay a bank card, or any card of that size, beside the item on a table. Take the picture from above with the main
        camera, without zoom, card and item near its middle.
      </Words>
      <SetUp />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, alignItems: 'center' }}>
        <Action main onPress={() => onChoose(true)}>
          Take a picture
        </Action>
        <Action onPress={() => onChoose(false)}>Choose a picture</Action>
      </View>
      <Words as="small" tone="faint">
        The picture stays in this page. Nothing of it is saved or sent.
      </Words>
    </View>
  );
}

/** How card and item lie. */
function SetUp() {
  const colours = useColours();
  return (
    <Svg width={260} height={130} aria-hidden>
      <Rect x={4} y={4} width={252} height={122} fill={colours.surface} stroke={colours.line} />
      <Rect x={24} y={36} width={86} height={54} rx={4} fill={colours.tape} stroke={colours.ink} strokeWidth={1.5} />
      <Rect
        x={134}
        y={20}
        width={52}
        height={92}
        rx={8}
        fill={colours.cloth.front}
        stroke={colours.ink}
        strokeWidth={1.5}
      />
      <Path d="M134 16H186M134 12v8M186 12v8" stroke={colours.thread} strokeWidth={1.5} />
    </Svg>
  );
}

function CardStep({ measuring }: { measuring: Measuring }) {
  const { snapped } = measuring.standing!;
  return (
    <>
      <Words as="strong">1. The card</Words>
      <Words>
        Drag a marker to each corner of the card, in order around it. Its straight edges are then found for you.
      </Words>
      {snapped === null ? (
        <Action main onPress={() => void measuring.findCard()}>
          Find the card’s edges
        </Action>
      ) : (
        <>
          <Words as="small" tone={snapped ? 'lichen' : 'rowan'} live>
            {snapped
              ? 'Its edges are found: the yellow line lies along them.'
              : 'Its edges cannot be seen well. The corners stay where you put them, and lengths are less sure.'}
          </Words>
          <Action main onPress={() => measuring.startMarks(measuring.mode)}>
            Measure the item
          </Action>
          <Action onPress={() => void measuring.findCard()}>Find the edges again</Action>
        </>
      )}
    </>
  );
}

interface MeasureProps {
  measuring: Measuring;
  targets: readonly Target[];
  onUse: Props['onUse'];
  onMore: () => void;
}

function MeasureStep({ measuring, targets, onUse, onMore }: MeasureProps) {
  const { mode, height, told, pictures } = measuring;
  const known = mode === 'length' ? told.length : told.outline;
  return (
    <>
      <Words as="strong">2. The item</Words>
      <Tabs
        as="radio"
        label="What is measured"
        value={mode}
        options={MODES}
        onChange={(next: Mode) => measuring.startMarks(next)}
      />
      <Words>
        {mode === 'length'
          ? 'Drag both markers to the edges to measure between.'
          : 'Drag the markers to the corners of the item and the middles of its sides.'}
      </Words>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
        <HowHigh />
        <View style={{ flex: 1 }}>
          <LengthField
            label="How high above the card this edge lies"
            help="0 where it lies on the table as the card does."
            mm={height}
            min={0}
            max={Math.min(300, LONGEST_MM)}
            onChange={({ mm }) => measuring.raise(mm)}
          />
        </View>
      </View>
      {known ? (
        <>
          {pictures > 1 ? <Words as="small" tone="faint">{`From ${pictures} pictures together.`}</Words> : null}
          {told.length && mode === 'length' ? (
            <Result key="length" name="Length" told={told.length} targets={targets} onUse={onUse} first={0} />
          ) : null}
          {told.outline && mode === 'outline' ? (
            <>
              <Result key="width" name="Width" told={told.outline.width} targets={targets} onUse={onUse} first={0} />
              <Result key="height" name="Height" told={told.outline.height} targets={targets} onUse={onUse} first={1} />
              <Result
                key="corner"
                name="Corner radius"
                told={told.outline.corner}
                targets={targets}
                onUse={onUse}
                first={targets.findIndex(({ id }) => /radius$/i.test(id))}
              />
            </>
          ) : null}
          <Action onPress={onMore}>Add another picture of the same</Action>
        </>
      ) : (
        <Words as="small" tone="faint">
          Move a marker to see the size here.
        </Words>
      )}
      <Action onPress={measuring.backToCard}>Back to the card</Action>
    </>
  );
}

const inWords = ({ mm, sd }: Told, units: LengthUnit): string =>
  `${formatKnown(mm, sd, units)}, give or take ${formatLength(Math.max(0.1, sd), units)}`;

interface ResultProps {
  name: string;
  told: Told;
  targets: readonly Target[];
  onUse: Props['onUse'];
  /** The target that is meant unless another is chosen. */
  first: number;
}

/** What a picture tells, and where it goes. */
function Result({ name, told, targets, onUse, first }: ResultProps) {
  const units = useSettings((state) => state.units);
  const [target, setTarget] = useState(targets[Math.max(0, first)]?.id ?? '');
  const [used, setUsed] = useState('');
  return (
    <View style={{ gap: 4 }}>
      <Words as="strong" live>{`${name}: ${inWords(told, units)}`}</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 12 }}>
        <View style={{ flexGrow: 1, flexBasis: 140 }}>
          <Pick label={`${name} is for`} value={target} options={targets} onChange={setTarget} />
        </View>
        <Action
          label={`Use ${name.toLowerCase()}`}
          disabled={target === ''}
          onPress={() => {
            onUse(target, told);
            setUsed(targets.find(({ id }) => id === target)!.name);
          }}
        >
          Use it
        </Action>
      </View>
      {used ? (
        <Words as="small" tone="lichen" live>
          {`Filled in as ${used}, measured from a photograph.`}
        </Words>
      ) : null}
    </View>
  );
}

/** The table from its side: the card, the item, and the height that is asked for. */
function HowHigh() {
  const colours = useColours();
  return (
    <Svg width={72} height={56} aria-hidden>
      <Line x1={2} y1={48} x2={70} y2={48} stroke={colours.ink} strokeWidth={1.5} />
      <Rect x={6} y={45} width={22} height={3} fill={colours.tape} stroke={colours.ink} strokeWidth={0.8} />
      <Rect
        x={34}
        y={22}
        width={22}
        height={26}
        rx={3}
        fill={colours.cloth.front}
        stroke={colours.ink}
        strokeWidth={1.2}
      />
      <Path d="M63 22V48M59 22h8M59 48h8" stroke={colours.thread} strokeWidth={1.8} />
      <Circle cx={45} cy={7} r={4} fill="none" stroke={colours.ink} strokeWidth={1.2} />
    </Svg>
  );
}
