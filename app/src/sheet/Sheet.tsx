import type { Plan, Step, Worked } from '@keep-snug/core';
import { formatLength, formatNumber, term } from '@keep-snug/core';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useReader, useWorked } from '@/board/useWorked';
import { AdviceList } from '@/board/AdviceList';
import { Cautions } from '@/board/Cautions';
import { notionsText, yarnText } from '@/board/Supplies';
import { duration } from '@/board/duration';
import { Drawing } from '@/drawing/Drawing';
import { Action } from '@/parts/Action';
import { RoomBar } from '@/parts/RoomBar';
import { Tabs } from '@/parts/Tabs';
import { Words } from '@/parts/Words';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { linesOf, sheetText } from './sheetText';
import { usePrintStyle } from './usePrintStyle';

interface Props {
  id: string;
  plan: Plan;
}

/** The written pattern, to read, copy or print. */
export function Sheet({ id, plan }: Props) {
  const colours = useColours();
  const { worked } = useWorked(plan);
  const terms = useSettings((state) => state.terms);
  const set = useSettings((state) => state.set);
  const [copied, setCopied] = useState(false);
  usePrintStyle();
  if (!worked)
    return (
      <RoomBar back={{ to: `/plan/${id}`, name: 'the plan' }}>
        <Words>This plan cannot be worked out yet. Go back and mend the entry it names.</Words>
      </RoomBar>
    );
  const copy = () => void navigator.clipboard?.writeText(sheetText(worked)).then(() => setCopied(true));
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={{ to: `/plan/${id}`, name: 'the plan' }}>
        <Words as="heading" level={1} style={{ fontSize: 20, flexGrow: 1 }}>
          {worked.title}
        </Words>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={{ width: '100%', maxWidth: 820, padding: 20, gap: 16, backgroundColor: colours.surface }}>
          <View
            {...{ dataSet: { screen: 'only' } }}
            style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 20 }}
          >
            <Tabs
              as="radio"
              label="Crochet words"
              value={terms}
              options={[
                { id: 'US', name: 'US' },
                { id: 'UK', name: 'UK' },
              ]}
              onChange={(next) => set({ terms: next })}
            />
            <Action onPress={copy}>{copied ? 'Copied' : 'Copy'}</Action>
            <Action onPress={() => window.print()}>Print</Action>
          </View>
          {/* the bar with the name stays on screen: paper has its own */}
          <View {...{ dataSet: { print: 'only' } }}>
            <Words as="title">{worked.title}</Words>
          </View>
          <Materials plan={plan} worked={worked} />
          <Views views={worked.views} />
          <AdviceList advice={worked.advice} />
          <Cautions cautions={worked.cautions} />
          {groups(worked).map(({ name, steps }) => (
            <View key={name} style={{ gap: 6 }}>
              <Words as="heading" level={2}>
                {name}
              </Words>
              {linesOf(steps).map((line) => (
                <Line key={line.id} {...line} />
              ))}
            </View>
          ))}
        </View>
      </ScrollView>
    </View>
  );
}

/** The flat view over the whole breadth, the others beside each other below it. */
function Views({ views: [flat, ...others] }: Pick<Worked, 'views'>) {
  return (
    <>
      {flat ? <Drawing view={flat} tape height={210} /> : null}
      <View {...{ dataSet: { print: 'whole' } }} style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {others.map((view) => (
          <View key={view.id} style={{ flexGrow: 1, flexBasis: 260 }}>
            <Drawing view={view} height={300} />
          </View>
        ))}
      </View>
    </>
  );
}

function Materials({ plan, worked }: { plan: Plan; worked: Worked }) {
  const { terms, units } = useReader();
  const { yarn, hookMm, stitch } = plan.fabric;
  const per10 = (mm: number) => formatNumber(100 / mm, 1);
  const { stitchWidth, rowHeight } = worked.fabric;
  const facts: [string, string][] = [
    ['For', `${String(plan.thing.name ?? 'thing')}, ${formatLength(worked.thing.girth.value, units)} round`],
    ['Fit', `${plan.fit.name}: inside ${formatLength(worked.inside.girth.value, units)} round`],
    ['Yarn', `${yarn.name ?? 'yarn'}, hook ${formatNumber(hookMm, 2)} mm, ${term(stitch, terms)}`],
    [
      capital(term('gauge', terms)),
      `${per10(stitchWidth.value)} stitches and ${per10(rowHeight.value)} rows to 10 cm${stitchWidth.kind === 'prior' ? ', estimated: work a swatch first' : ''}`,
    ],
    ['Takes', `${yarnText(worked.supplies)}; about ${duration(worked.supplies.time.value)}`],
    ...(worked.supplies.byColour.length > 0
      ? [
          [
            'By colour',
            worked.supplies.byColour.map(({ name, grams }) => `${name} ${formatNumber(grams, 0)} g`).join(', '),
          ] as [string, string],
        ]
      : []),
    ['At hand', notionsText(worked.supplies.notions)],
    ...worked.pieces.map((piece): [string, string] => [
      piece.name,
      piece.times > 1 ? `${piece.summary}; make ${piece.times}` : piece.summary,
    ]),
  ];
  return (
    <View style={{ gap: 4 }}>
      {facts.map(([name, text]) => (
        <View key={name} style={{ flexDirection: 'row', gap: 12 }}>
          <Words as="strong" style={{ width: 80 }}>
            {name}
          </Words>
          <Words style={{ flex: 1 }}>{text}</Words>
        </View>
      ))}
    </View>
  );
}

function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

const NAMES: Readonly<Record<string, string>> = {
  front: 'Front',
  back: 'Back',
  turn: 'Over the top',
  flap: 'Flap',
  joining: 'Joining',
  closing: 'Closing',
  finishing: 'Finishing',
};

/** Steps under the heading of their section, in working order. */
function groups(worked: Worked): { name: string; steps: Step[] }[] {
  const keyOf = ({ pieceName, section }: Step) => `${pieceName} ${section}`;
  const keys = [...new Set(worked.steps.map(keyOf))];
  return keys.map((key) => {
    const steps = worked.steps.filter((step) => keyOf(step) === key);
    const { pieceName, section } = steps[0]!;
    const name = NAMES[section] ?? capital(section);
    return { name: pieceName ? `${pieceName}: ${name.toLowerCase()}` : name, steps };
  });
}

function Line({ label, text, ends, note, check }: ReturnType<typeof linesOf>[number]) {
  const colours = useColours();
  return (
    <View
      {...{ dataSet: { print: 'whole' } }}
      style={{ borderBottomWidth: 1, borderColor: colours.line, paddingBottom: 6, gap: 2 }}
    >
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          {label ? <Words as="smallStrong">{label}</Words> : null}
          <Words>{text}</Words>
        </View>
        {ends === null ? null : <Words as="heading">{ends}</Words>}
      </View>
      {note ? (
        <Words as="strong" tone="thread">
          {note}
        </Words>
      ) : null}
      {check ? <Words as="small" tone="faint">{`Check: ${check.look} If not: ${check.repair}`}</Words> : null}
    </View>
  );
}
