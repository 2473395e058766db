import { LandedPanel } from './LandedPanel';
import { WhenPanel } from '@/ui/when/WhenPanel';
import { capital, isPractice, plural, sectionWord, toldStep, type Make, type Step } from '@keep-snug/core';
import { useRouter, type Href } from 'expo-router';
import { useId, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Cautions } from '@/ui/notices/Cautions';
import { useReader } from '@/reading/useWorked';
import { KeepingTrouble } from '@/ui/notices/KeepingLines';
import { MiniPiece } from '@/drawing/MiniPiece';
import { useFocusOnArrival, usePageTitle } from '@/ui/layout/Title';
import { Clash } from '@/ui/notices/Clash';
import { Notice } from '@/ui/notices/Notice';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { useKeys } from '@/platform/useKeys';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { useShowing } from '@/data/showing';
import { useAway, useWaiting, useWholeMake } from '@/data/sync';
import { LinkedWords } from '@/ui/layout/LinkedWords';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { KeysPanel } from '@/ui/notices/KeysPanel';
import { MAKE_KEYS } from './keys';
import { Beside } from './Beside';
import { ChartPanel } from './ChartPanel';
import { Controls } from './Controls';
import { FinishPanel } from './FinishPanel';
import { LogPanel } from './LogPanel';
import { LostPanel } from './LostPanel';
import { MeasurePanel } from './MeasurePanel';
import { NotePanel } from './NotePanel';
import { PaceLine } from '@/ui/lists/PaceLine';
import { PartTabs } from './PartTabs';
import { ChangedPanel, PlanChanged } from './PlanChanged';
import { SwatchPanel } from './SwatchPanel';
import { Target } from './Target';
import { Twice } from './Twice';
import { TapeAsks } from './TapeAsks';
import { useAloud } from '@/platform/useAloud';
import { useAwake } from '@/platform/useAwake';
import { useClicker } from './useClicker';
import { useHeadset } from '@/platform/useHeadset';
import { useListening } from '@/platform/useListening';
import { Unreadable } from './Unreadable';
import { useChangedWays } from './useChangedWays';
import { useMended } from './useMended';
import { WeighPanel } from './WeighPanel';
import { courseWord, useProgress, type Progress } from '@/reading/useProgress';
import type { LocalDocument } from '@/data/types';
import { tremble } from '@/platform/hands';

interface Props {
  id: string;
  held: LocalDocument<Make>;
}

const TAPE_BREADTH = 34;

const STYLES = StyleSheet.create({
  room: { flex: 1 },
  above: { flex: 1 },
  columns: { flex: 1, flexDirection: 'row' },
  reading: { padding: 20, paddingBottom: 8, gap: 6 },
});

/** The counter room: the row, the count, and one large target. Nothing competes. */
export function MakeRoom({ id, held }: Props) {
  const colours = useColours();
  const router = useRouter();
  const { box, onLayout } = useBox();
  const [open, setOpen] = useState<
    'note' | 'measure' | 'lost' | 'weigh' | 'changed' | 'log' | 'when' | 'landed' | 'chart' | 'finish' | 'keys' | null
  >(null);
  const wide = useWide();
  const flat = useWindowDimensions().height < FLAT_BELOW;
  const left = useSettings((state) => state.hand) === 'left';
  const [part, setPart] = useState<string>();
  const progress = useProgress(id, held.body, part);
  const practised = isPractice(held.body.plan);
  const mended = useMended(id, held.body);
  const changed = useChangedWays(id, held.body);
  usePageTitle(held.body.title);
  const happened = useEvents((state) => state.happened);
  const awake = useAwake();
  useWholeMake(id);
  const asking = useShowing(({ trail }) => trail.length > 0);

  const last = progress?.state.last ?? null;
  const aloud = useAloud(saidOf(progress));
  const tick = (press?: string) => {
    if (!progress) return;
    const { next, state } = progress;
    if (next) {
      if (endsSection(progress)) tremble(SECTION_ENDS_MS);
      return happened(id, { kind: 'ticked', step: next.id, under: state.decided }, press);
    }
    if (progress.state.finished) return router.navigate('/ledger');
    // finished at once: what more there is to say can be left out
    happened(id, { kind: 'finished' }, press);
    return setOpen('finish');
  };
  const undoes = progress?.state.undoes ?? [];
  const undo = () => undoes.length > 0 && happened(id, { kind: 'undone', ticks: undoes });
  const howMany = () => aloud.say(progress?.next?.counted ?? String(progress?.next?.ends ?? 'Nothing to count'));
  useClicker(tick);
  const step = () => tick();
  const listening = useListening({ next: step, back: undo, howMany });
  useHeadset(aloud.on && open === null, { next: step, back: undo, again: () => aloud.say(saidOf(progress)) });
  useKeys(
    {
      ' ': step,
      ArrowRight: step,
      // what clickers for slides send
      PageDown: step,
      PageUp: undo,
      Backspace: undo,
      ArrowLeft: undo,
      ...(aloud.can ? { r: aloud.turn, h: howMany } : {}),
      m: () => setOpen('measure'),
      l: () => setOpen('lost'),
      w: () => setOpen('weigh'),
      n: () => setOpen('note'),
      '?': () => setOpen('keys'),
    },
    open !== null || asking,
  );

  if (!progress) return <Unreadable id={id} held={held} />;
  const controls = (
    <Controls
      canUndo={undoes.length > 0}
      onUndo={() => undo()}
      onMeasure={() => setOpen('measure')}
      onLost={() => setOpen('lost')}
      onWeigh={() => setOpen('weigh')}
      onLog={() => setOpen('log')}
      onDays={() => setOpen('when')}
      onLanded={held.body.plan.fabric.yarn?.runs ? () => setOpen('landed') : undefined}
      onChart={() => setOpen('chart')}
      onNote={() => setOpen('note')}
      onKeys={() => setOpen('keys')}
      onPlan={practised ? undefined : () => router.navigate(planOf(held.body))}
      onBench={() => router.navigate('/')}
      aloud={aloud}
      listening={listening}
    />
  );
  const told = (
    <>
      <Clash kind="makes" id={id} held={held} />
      <PlanChanged changed={changed} onOpen={() => setOpen('changed')} />
      <Twice id={id} progress={progress} />
    </>
  );
  return (
    <View style={{ flex: 1 }}>
      <KeepingTrouble />
      <View onLayout={onLayout} style={{ flex: 1, flexDirection: 'row', backgroundColor: colours.surface }}>
        <Tape
          upright
          lengthMm={progress.lengthMm}
          px={box.height}
          breadth={TAPE_BREADTH}
          outMm={progress.reachedMm}
          marks={progress.marksMm}
        />
        <View role="main" style={[STYLES.room, flat ? { flexDirection: left ? 'row-reverse' : 'row' } : null]}>
          <View style={STYLES.above}>
            <View style={STYLES.columns}>
              <ScrollView
                {...{ tabIndex: 0 }}
                role="region"
                aria-label="This step"
                style={{ flex: 1 }}
                contentContainerStyle={STYLES.reading}
              >
                {told}
                <PartTabs progress={progress} onChoose={setPart} />
                <Glance progress={progress} title={held.body.title} />
                <PaceLine {...progress} />
                <Latest progress={progress} />
                {practised ? null : (
                  <TapeAsks id={id} progress={progress} mended={mended} onMeasure={() => setOpen('measure')} />
                )}
                {progress.state.done.length === 0 ? (
                  <Cautions cautions={progress.worked.cautions.filter(({ setAside }) => !setAside)} />
                ) : null}
                <Sending />
                {awake === false ? (
                  <Words as="small" tone="faint">
                    This browser cannot keep the screen on. Set the device not to turn it off.
                  </Words>
                ) : null}
              </ScrollView>
              {wide ? <Beside progress={progress} /> : null}
            </View>
            {controls}
          </View>
          <Target progress={progress} beside={flat} onTick={step} onUndo={undo} />
        </View>
        {open === 'note' ? (
          <NotePanel make={id} step={last?.step ?? progress.worked.steps[0]!.id} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'measure' && practised ? <SwatchPanel make={held.body} onClose={() => setOpen(null)} /> : null}
        {open === 'measure' && !practised ? (
          <MeasurePanel id={id} make={held.body} progress={progress} mended={mended} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'lost' ? (
          <LostPanel id={id} make={held.body} progress={progress} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'weigh' ? (
          <WeighPanel id={id} make={held.body} progress={progress} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'chart' ? <ChartPanel progress={progress} onClose={() => setOpen(null)} /> : null}
        {open === 'log' ? <LogPanel id={id} progress={progress} onClose={() => setOpen(null)} /> : null}
        {open === 'landed' ? (
          <LandedPanel id={id} make={held.body} progress={progress} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'when' ? <WhenPanel id={id} title={held.body.title} onClose={() => setOpen(null)} /> : null}
        {open === 'changed' && changed ? (
          <ChangedPanel id={id} make={held.body} changed={changed} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'finish' && practised ? (
          <SwatchPanel
            make={held.body}
            onClose={() => {
              setOpen(null);
              router.navigate('/ledger');
            }}
          />
        ) : null}
        {open === 'finish' && !practised ? (
          <FinishPanel
            id={id}
            make={held.body}
            worked={progress.worked}
            pace={progress.pace}
            onClose={() => {
              setOpen(null);
              router.navigate('/ledger');
            }}
          />
        ) : null}
        {open === 'keys' ? <KeysPanel keys={MAKE_KEYS} onClose={() => setOpen(null)} /> : null}
      </View>
    </View>
  );
}

/** A piece of a batch has the batch's plan. */
const planOf = ({ planId, batch }: Make): Href => (batch ? `/batch/${batch.batch}` : `/plan/${planId}`);

/** What is said of where the work stands: the row, and what to do. */
function saidOf(progress: Progress | null): string {
  if (!progress) return '';
  const { next } = progress;
  return next ? `${where(next)}. ${next.text}${next.note ? ` ${next.note}` : ''}` : 'All done.';
}

/** A step that ends its section is felt, ms. */
const SECTION_ENDS_MS = 120;

function endsSection({ worked: { steps }, next }: Progress): boolean {
  const after = steps[steps.findIndex(({ id }) => id === next?.id) + 1];
  return after !== undefined && after.section !== next!.section;
}

/** Lower than this, target and text stand beside each other, px. */
const FLAT_BELOW = 520;

/** What half a second's look must tell: which row, how many, what to do. */
/** A count is read from across the room; one in words takes a line or two. */
const NUMBER = { wide: { fontSize: 128, lineHeight: 132 }, narrow: { fontSize: 104, lineHeight: 108 } };
const COUNTED = { wide: { fontSize: 64, lineHeight: 70 }, narrow: { fontSize: 40, lineHeight: 46 } };

function Glance({ progress, title }: { progress: Progress; title: string }) {
  const { next, piece, rowsDone } = progress;
  const wide = useWide();
  const { terms, habits } = useReader();
  const voice = useSettings((state) => state.voice);
  const told = next ? toldStep(next, voice, { terms, ring: habits.ring }) : undefined;
  const heading = useId();
  useFocusOnArrival(heading);
  return (
    <>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-start', gap: 12 }}>
        <View style={{ flexShrink: 1 }}>
          <Words id={heading} as="title" level={1} live>
            {next ? where(next) : 'All done'}
          </Words>
          <Words tone="faint">{next ? `${title}: ${around(next)}` : title}</Words>
        </View>
        {wide ? null : (
          <View style={{ flexShrink: 0 }}>
            <MiniPiece piece={piece} rowsDone={rowsDone} width={96} height={26} />
          </View>
        )}
      </View>
      {next?.ends ? (
        <Words style={{ fontFamily: FAMILY.heading, ...(next.counted ? COUNTED : NUMBER)[wide ? 'wide' : 'narrow'] }}>
          {next.counted ?? next.ends}
        </Words>
      ) : null}
      <LinkedWords
        as="heading"
        style={{ fontSize: wide ? 30 : 22, lineHeight: wide ? 38 : 29, maxWidth: 900 }}
        text={told ? told.text : 'All done. Every row, seam and end is finished.'}
      />
      {told?.note ? <LinkedWords as="strong" tone="thread" text={told.note} /> : null}
      {next?.check && isByHand(next) ? <Check word="Before you do" check={next.check} /> : null}
    </>
  );
}

function where(step: Step): string {
  if (step.row) return `${courseWord(step)} ${step.row} of ${step.of}`;
  if (step.kind === 'foundation') return beginningOf(step);
  return capital(sectionWord(step.section));
}

/** How a piece begins, in the words of the craft. */
function beginningOf({ makes }: Step): string {
  if (makes?.kind === 'chain') return 'Foundation chain';
  return makes?.count === 0 ? 'Ring' : 'Joining the yarn';
}

function around({ row, section, side, kind, pieceName }: Step): string {
  const piece = pieceName ? `${pieceName}: ` : '';
  if (row) return `${piece}${sectionWord(section)}, ${side} side facing`;
  return kind === 'foundation' ? `${piece}to start with` : `${piece}finishing`;
}

/** What is joined, cut or sewn cannot be done again: its check comes before it, a row's after it. */
const isByHand = ({ row, kind }: Step) => row === null && kind !== 'foundation';

function Check({ word, check }: { word: string; check: NonNullable<Step['check']> }) {
  return (
    <Notice
      tone="thread"
      word={word}
      text={<LinkedWords as="small" text={check.look} />}
      repair={
        <LinkedWords
          as="smallStrong"
          text={`If not: ${check.repair.charAt(0).toLowerCase()}${check.repair.slice(1)}`}
        />
      }
    />
  );
}

/** The check of the row just done, while it can still be put right cheaply. */
function Latest({ progress: { worked, state } }: { progress: Progress }) {
  const step = worked.steps.find(({ id }) => id === state.last?.step);
  const note = state.notes.filter((one) => one.step !== null && one.step === state.last?.step).at(-1);
  return (
    <View style={{ gap: 8, marginTop: 8 }}>
      {step?.check && !isByHand(step) ? <Check word="Check" check={step.check} /> : null}
      {note ? <Notice tone="thread" word="Your note" text={note.text} /> : null}
    </View>
  );
}

/** Only said when it matters: what is kept here and waits for the server. */
function Sending() {
  const isAway = useAway();
  const waiting = useWaiting();
  if (!isAway || waiting === 0) return null;
  return (
    <Words
      as="small"
      tone="thread"
      live
    >{`You are offline. ${plural(waiting, 'change is', 'changes are')} saved on this device.`}</Words>
  );
}
