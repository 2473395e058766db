import type { Make, Step } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Cautions } from '@/board/Cautions';
import { KeepingTrouble } from '@/parts/KeepingLines';
import { MiniPiece } from '@/drawing/MiniPiece';
import { Action } from '@/parts/Action';
import { Clash } from '@/parts/Clash';
import { Notice } from '@/parts/Notice';
import { Tape } from '@/parts/Tape';
import { useBox } from '@/parts/useBox';
import { useKeys } from '@/parts/useKeys';
import { Words } from '@/parts/Words';
import { useEvents } from '@/state/events';
import type { LocalDocument } from '@/state/library';
import { useLine, useWaiting, useWholeMake } from '@/state/sync';
import { FAMILY } from '@/theme/type';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { KeysPanel } from '@/parts/KeysPanel';
import { MAKE_KEYS } from './keys';
import { NotePanel } from './NotePanel';
import { PlanChanged } from './PlanChanged';
import { Target } from './Target';
import { Twice } from './Twice';
import { useAwake } from './useAwake';
import { courseWord, useProgress, type Progress } from './useProgress';

interface Props {
  id: string;
  held: LocalDocument<Make>;
}

const TAPE_BREADTH = 34;

/** The counter room: the row, the count, and one large target. Nothing competes. */
export function MakeRoom({ id, held }: Props) {
  const colours = useColours();
  const router = useRouter();
  const { box, onLayout } = useBox();
  const [open, setOpen] = useState<'note' | 'keys' | null>(null);
  const progress = useProgress(id, held.body);
  const happened = useEvents((state) => state.happened);
  useAwake();
  useWholeMake(id);

  const last = progress?.state.last ?? null;
  const tick = () => {
    if (!progress) return;
    const { next, state } = progress;
    if (next) return happened(id, { kind: 'ticked', step: next.id, under: state.decided });
    if (!progress.state.finished) happened(id, { kind: 'finished' });
    router.navigate('/ledger');
  };
  const undo = () => last && happened(id, { kind: 'undone', ticks: last.ticks });
  useKeys(
    {
      ' ': tick,
      ArrowRight: tick,
      Backspace: undo,
      ArrowLeft: undo,
      n: () => setOpen('note'),
      '?': () => setOpen('keys'),
    },
    open !== null,
  );

  if (!progress) return <Unreadable planId={held.body.planId} />;
  const boundaries = progress.marksMm;
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
          marks={boundaries}
        />
        <View role="main" style={{ flex: 1 }}>
          <ScrollView
            style={{ flex: 1 }}
            contentContainerStyle={{ padding: 20, paddingBottom: 8, gap: 6, minHeight: '100%' }}
          >
            <Clash kind="makes" id={id} held={held} />
            <PlanChanged id={id} held={held} />
            <Twice id={id} progress={progress} />
            <Glance progress={progress} title={held.body.title} />
            <Latest progress={progress} />
            {progress.state.done.length === 0 ? (
              <Cautions cautions={progress.worked.cautions.filter(({ setAside }) => !setAside)} />
            ) : null}
            <View style={{ flexGrow: 1 }} />
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
              <Action disabled={!last} onPress={() => undo()}>
                Undo
              </Action>
              <Action onPress={() => setOpen('note')}>Note</Action>
              <Action onPress={() => setOpen('keys')}>Keys</Action>
              <Action onPress={() => router.navigate(`/plan/${held.body.planId}`)}>Plan</Action>
              <Action onPress={() => router.navigate('/')}>Bench</Action>
            </View>
            <Sending />
          </ScrollView>
          <Target progress={progress} onTick={tick} onUndo={undo} />
        </View>
        {open === 'note' ? (
          <NotePanel make={id} step={last?.step ?? progress.worked.steps[0]!.id} onClose={() => setOpen(null)} />
        ) : null}
        {open === 'keys' ? <KeysPanel keys={MAKE_KEYS} onClose={() => setOpen(null)} /> : null}
      </View>
    </View>
  );
}

/** What half a second's look must tell: which row, how many, what to do. */
function Glance({ progress, title }: { progress: Progress; title: string }) {
  const { next, piece, rowsDone } = progress;
  const wide = useWide();
  return (
    <>
      <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'flex-start', gap: 12 }}>
        <View style={{ flexShrink: 1 }}>
          <Words as="title" level={1} live>
            {next ? where(next) : 'All done'}
          </Words>
          <Words tone="faint">{next ? around(next) : title}</Words>
        </View>
        <MiniPiece sections={piece.sections} rowsDone={rowsDone} width={wide ? 240 : 112} height={wide ? 56 : 28} />
      </View>
      {next?.ends ? (
        <Words style={{ fontFamily: FAMILY.heading, fontSize: wide ? 168 : 104, lineHeight: wide ? 172 : 112 }}>
          {next.ends}
        </Words>
      ) : null}
      <Words as="heading" style={{ fontSize: wide ? 30 : 22, lineHeight: wide ? 38 : 29, maxWidth: 900 }}>
        {next ? next.text : 'Everything is worked, joined and woven in.'}
      </Words>
      {next?.note ? (
        <Words as="strong" tone="thread">
          {next.note}
        </Words>
      ) : null}
    </>
  );
}

function where(step: Step): string {
  if (step.row) return `${courseWord(step)} ${step.row} of ${step.of}`;
  return step.kind === 'foundation' ? 'Foundation chain' : (SECTION_NAMES[step.section] ?? step.section);
}

const SECTION_NAMES: Readonly<Record<string, string>> = {
  joining: 'Joining',
  closing: 'Closing',
  finishing: 'Finishing',
};

function around({ row, section, side, kind, pieceName }: Step): string {
  const piece = pieceName ? `${pieceName}: ` : '';
  if (row) return `${piece}${section}, ${side} side facing`;
  return kind === 'foundation' ? `${piece}to begin with` : 'by hand, once the rows are done';
}

/** The check of the step just done, while it can still be mended cheaply. */
function Latest({ progress: { worked, state } }: { progress: Progress }) {
  const check = worked.steps.find(({ id }) => id === state.last?.step)?.check;
  const note = state.notes.filter(({ step }) => step !== null && step === state.last?.step).at(-1);
  return (
    <View style={{ gap: 8, marginTop: 8 }}>
      {check ? (
        <Notice
          tone="thread"
          word="Check"
          text={check.look}
          repair={`If not: ${check.repair.charAt(0).toLowerCase()}${check.repair.slice(1)}`}
        />
      ) : null}
      {note ? <Notice tone="thread" word="Your note" text={note.text} /> : null}
    </View>
  );
}

/** Only said when it matters: what is kept here and waits for the server. */
function Sending() {
  const reached = useLine((state) => state.reached);
  const waiting = useWaiting();
  if (reached !== false || waiting === 0) return null;
  return (
    <Words
      as="small"
      tone="thread"
      live
    >{`The server is away. ${waiting} kept on this device, sent when it is back.`}</Words>
  );
}

function Unreadable({ planId }: { planId: string }) {
  const router = useRouter();
  return (
    <View style={{ padding: 24, gap: 12 }}>
      <Words as="heading" level={1}>
        This make’s plan cannot be worked out
      </Words>
      <Words>
        Its entries no longer fit together. Open the plan, mend what it names, and take the changed plan here.
      </Words>
      <Action main onPress={() => router.navigate(`/plan/${planId}`)}>
        Open the plan
      </Action>
    </View>
  );
}
