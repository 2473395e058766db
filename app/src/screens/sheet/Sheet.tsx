import {
  checkText,
  checkWord,
  patternText,
  type Plan,
  type Worked,
  type WrittenCheck,
  type WrittenPattern,
  type WrittenSection,
} from '@keep-snug/core';
import { writtenPattern } from '@keep-snug/core/written';
import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useReader, useWorked } from '@/reading/useWorked';
import { AdviceList } from '@/ui/notices/AdviceList';
import { Cautions } from '@/ui/notices/Cautions';
import { Drawing } from '@/drawing/Drawing';
import { Portrait } from '@/drawing/portrait/Portrait';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { Panel } from '@/ui/layout/Panel';
import { RoomBar } from '@/ui/layout/RoomBar';
import { Tabs } from '@/ui/layout/Tabs';
import { TextField } from '@/ui/fields/TextField';
import { Title } from '@/ui/layout/Title';
import { Words } from '@/ui/layout/Words';
import { useSettings } from '@/data/settings';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { useColours } from '@/theme/useTheme';
import { ChartPart } from './ChartPart';
import { PlanCode } from './PlanCode';
import { SheetOut } from './SheetOut';
import { usePrintStyle } from './usePrintStyle';
import { copyText } from '@/platform/hands';
import { printPage } from '@/platform/page';

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
  const { terms, units, hand } = useReader();
  const voice = useSettings((state) => state.voice);
  const [copied, setCopied] = useState(false);
  // what the page may not put on the clipboard is shown to be copied by hand
  const [byHand, setByHand] = useState<string>();
  usePrintStyle();
  if (!worked)
    return (
      <RoomBar back={back}>
        <Words>This plan has an entry that needs a fix. Go back and fix it.</Words>
      </RoomBar>
    );
  const pattern = writtenPattern({ ...plan, schools: { ...plan.schools, hand } }, worked, { terms, units, voice });
  const text = patternText(pattern);
  const copy = (what: string) =>
    void copyText(what).then(
      () => setCopied(true),
      () => setByHand(what),
    );
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={back}>
        <Title style={{ fontSize: 20, flexGrow: 1, flexShrink: 1 }}>{worked.title}</Title>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={{ width: '100%', maxWidth: ON_PAPER, padding: 20, gap: 16, backgroundColor: colours.surface }}>
          <Reading>
            <Action onPress={() => copy(text)}>{copied ? 'Copied' : 'Copy pattern'}</Action>
            <Action onPress={printPage}>Print</Action>
            <SheetOut plan={plan} worked={worked} text={text} voice={voice} onLink={copy} />
          </Reading>
          {/* the bar with the name stays on screen: paper has its own */}
          <View {...{ dataSet: { print: 'only' } }}>
            <Words as="title">{worked.title}</Words>
          </View>
          <Portraits plan={plan} worked={worked} />
          <Head {...pattern} />
          <Views views={worked.views} />
          <AdviceList advice={worked.advice} />
          <Cautions cautions={worked.cautions} />
          <Before {...pattern} />
          {pattern.sections.map((section) => (
            <Section key={section.id} {...section} />
          ))}
          <ChartPart worked={worked} />
          <PlanCode plan={plan} />
          <Words as="small" tone="faint">
            {pattern.made}
          </Words>
        </View>
      </ScrollView>
      {byHand === undefined ? null : <TextPanel text={byHand} onClose={() => setByHand(undefined)} />}
    </View>
  );
}

/** In which words it is read, and what can be done with it. */
function Reading({ children }: { children: ReactNode }) {
  const terms = useSettings((state) => state.terms);
  const voice = useSettings((state) => state.voice);
  const set = useSettings((state) => state.set);
  return (
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
      <View style={{ width: 190 }}>
        <Tabs
          as="radio"
          label="Pattern style"
          value={voice}
          options={[
            { id: 'full', name: 'In full' },
            { id: 'short', name: 'Short' },
          ]}
          onChange={(next) => set({ voice: next })}
        />
      </View>
      {children}
    </View>
  );
}

/** The finished piece: closed, and open where it opens. */
function Portraits({ plan, worked }: { plan: Plan; worked: Worked }) {
  return (
    <View {...{ dataSet: { print: 'whole' } }} style={{ flexDirection: 'row', columnGap: 16 }}>
      {(['front', 'open'] as const).map((side) => (
        <View key={side} style={{ flex: 1 }}>
          <Portrait plan={plan} worked={worked} side={side} height={220} />
        </View>
      ))}
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

/** A name and what there is to say of it, side by side. */
function Fact({ name, text, narrow = 100 }: { name: string; text: string; narrow?: number }) {
  return (
    <View style={{ flexDirection: 'row', gap: 12 }}>
      <Words as="strong" style={{ width: narrow }}>
        {name}
      </Words>
      <View style={{ flex: 1 }}>
        <LinkedWords text={text} />
      </View>
    </View>
  );
}

function Head({ terms, facts }: WrittenPattern) {
  return (
    <View style={{ gap: 4 }}>
      <Words as="small" tone="faint">
        {terms}
      </Words>
      {facts.map((fact) => (
        <Fact key={fact.name} {...fact} />
      ))}
    </View>
  );
}

/** What is to be read before the first row: notes, abbreviations, stitches that not everyone knows. */
function Before({ notes, abbreviations, special }: WrittenPattern) {
  return (
    <>
      <Part name="Notes">
        {notes.map((note) => (
          <LinkedWords key={note} text={note} />
        ))}
      </Part>
      {abbreviations.length > 0 ? (
        <Part name="Abbreviations">
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20, rowGap: 2 }}>
            {abbreviations.map(({ short, name }) => (
              <Words key={short}>
                <Words as="strong">{short}</Words>
                {` ${name}`}
              </Words>
            ))}
          </View>
        </Part>
      ) : null}
      {special.length > 0 ? (
        <Part name="Special stitches">
          {special.map(({ id, name, text }) => (
            <View key={id} {...{ dataSet: { print: 'whole' } }}>
              <LinkedWords as="strong" text={name} />
              <Words>{text}</Words>
            </View>
          ))}
        </Part>
      ) : null}
    </>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <Words as="heading" level={2}>
        {name}
      </Words>
      {children}
    </View>
  );
}

/** The lines of a section, each with its checks in small beside it, so that the rows stay readable. */
function Section({ name, lines }: WrittenSection) {
  return (
    <Part name={name}>
      {lines.map((line) => (
        <Line key={line.id} {...line} />
      ))}
    </Part>
  );
}

function Checks({ checks, before = false }: { checks: readonly WrittenCheck[]; before?: boolean }) {
  return checks.map((check) => (
    <LinkedWords
      key={`${check.at} ${check.look}`}
      as="small"
      tone="faint"
      text={`${checkWord(check, before)}: ${checkText(check)}`}
    />
  ));
}

function Line({ label, text, count, note, measures, before, after }: WrittenSection['lines'][number]) {
  const colours = useColours();
  return (
    <View
      {...{ dataSet: { print: 'whole' } }}
      style={{ borderBottomWidth: 1, borderColor: colours.line, paddingBottom: 6, gap: 2 }}
    >
      <Checks checks={before} before />
      {label ? <Words as="smallStrong">{label}</Words> : null}
      <LinkedWords text={count === null ? text : `${text} (${count})`} />
      {note ? <LinkedWords as="strong" tone="thread" text={note} /> : null}
      {measures ? (
        <Words as="small" tone="faint">
          {measures}
        </Words>
      ) : null}
      <Checks checks={after} />
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
