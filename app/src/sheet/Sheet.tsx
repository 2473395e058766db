import type { Plan, Worked } from '@keep-snug/core';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { useReader, useWorked } from '@/board/useWorked';
import { AdviceList } from '@/board/AdviceList';
import { Cautions } from '@/board/Cautions';
import { Drawing } from '@/drawing/Drawing';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { Panel } from '@/parts/Panel';
import { RoomBar } from '@/parts/RoomBar';
import { Tabs } from '@/parts/Tabs';
import { TextField } from '@/parts/TextField';
import { Title } from '@/parts/Title';
import { Words } from '@/parts/Words';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { factsOf, termsLine } from './sheetFacts';
import { groupsOf, linesOf, sheetText } from './sheetText';
import { usePrintStyle } from './usePrintStyle';

interface Props {
  plan: Plan;
  back: Parameters<typeof RoomBar>[0]['back'];
}

/** As wide as the page between its margins on A4 and Letter, so that nothing is cut off in print, px. */
const ON_PAPER = 720;

/** The written pattern, to read, copy or print. */
export function Sheet({ plan, back }: Props) {
  const colours = useColours();
  const { worked } = useWorked(plan);
  const reading = useReader();
  const terms = useSettings((state) => state.terms);
  const set = useSettings((state) => state.set);
  const [copied, setCopied] = useState<'not' | 'copied' | 'by hand'>('not');
  usePrintStyle();
  if (!worked)
    return (
      <RoomBar back={back}>
        <Words>This plan has an entry that needs a fix. Go back and fix it.</Words>
      </RoomBar>
    );
  const text = sheetText(plan, worked, reading);
  const copy = () =>
    void copyText(text).then(
      () => setCopied('copied'),
      () => setCopied('by hand'),
    );
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={back}>
        <Title style={{ fontSize: 20, flexGrow: 1, flexShrink: 1 }}>{worked.title}</Title>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={{ width: '100%', maxWidth: ON_PAPER, padding: 20, gap: 16, backgroundColor: colours.surface }}>
          <View
            {...{ dataSet: { screen: 'only' } }}
            style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 20 }}
          >
            <View style={{ width: 140 }}>
              <Tabs
                as="radio"
                label="Crochet terms"
                value={terms}
                options={[
                  { id: 'US', name: 'US' },
                  { id: 'UK', name: 'UK' },
                ]}
                onChange={(next) => set({ terms: next })}
              />
            </View>
            <Action onPress={copy}>{copied === 'copied' ? 'Copied' : 'Copy pattern'}</Action>
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
          {groupsOf(worked).map(({ name, steps }) => (
            <View key={steps[0]!.id} style={{ gap: 6 }}>
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
      {copied === 'by hand' ? <TextPanel text={text} onClose={() => setCopied('not')} /> : null}
    </View>
  );
}

async function copyText(text: string): Promise<void> {
  if (!navigator.clipboard) throw new Error('no clipboard');
  await navigator.clipboard.writeText(text);
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
  const reading = useReader();
  return (
    <View style={{ gap: 4 }}>
      <Words as="small" tone="faint">
        {termsLine(reading.terms)}
      </Words>
      {factsOf(plan, worked, reading).map(([name, text]) => (
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

/** The text to copy by hand, where the page may not use the clipboard. */
function TextPanel({ text, onClose }: { text: string; onClose: () => void }) {
  return (
    <Panel title="Copy the pattern" onClose={onClose}>
      <Words as="small" tone="faint">
        This page may not use the clipboard. Select the text and copy it.
      </Words>
      <FieldRow>
        <TextField label="Pattern as text" value={text} onChange={() => undefined} multiline />
      </FieldRow>
    </Panel>
  );
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
