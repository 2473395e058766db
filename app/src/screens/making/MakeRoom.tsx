import { isPractice, plural, type Make } from '@keep-snug/core';
import { useRouter, type Href } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Cautions } from '@/ui/notices/Cautions';
import { KeepingTrouble } from '@/ui/notices/KeepingLines';
import { usePageTitle } from '@/ui/layout/Title';
import { Clash } from '@/ui/notices/Clash';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { useKeys } from '@/platform/useKeys';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { useSettings } from '@/data/settings';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { useAway, useWaiting, useWholeMake } from '@/data/sync';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { Beside } from './Beside';
import { Latest } from './Checks';
import { CountingLines } from './CountingLines';
import { FoldAsks } from './FoldAsks';
import { Glance, where } from './Glance';
import { PANELS } from './panels';
import { Controls } from './Controls';
import { PaceLine } from '@/ui/lists/PaceLine';
import { PartTabs } from './PartTabs';
import { PlanChanged } from './PlanChanged';
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
import { useProgress, type Progress } from '@/reading/useProgress';
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
  const [open, setOpen] = useState<string | null>(null);
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
  const asking = useTechniqueTrail(({ trail }) => trail.length > 0);

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
      ...Object.fromEntries(PANELS.flatMap((panel) => (panel.key ? [[panel.key, () => setOpen(panel.id)]] : []))),
    },
    open !== null || asking,
  );

  if (!progress) return <Unreadable id={id} held={held} />;
  const controls = (
    <Controls
      canUndo={undoes.length > 0}
      onUndo={() => undo()}
      make={held.body}
      onOpen={setOpen}
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
          checks={progress.checksAt}
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
                <Glance plan={held.body.plan} progress={progress} title={held.body.title} />
                <CountingLines id={id} make={held.body} progress={progress} />
                <PaceLine {...progress} />
                {practised ? null : (
                  <TapeAsks id={id} progress={progress} mended={mended} onMeasure={() => setOpen('measure')} />
                )}
                {practised ? null : (
                  <FoldAsks id={id} make={held.body} progress={progress} onFold={() => setOpen('fold')} />
                )}
                <Latest progress={progress} />
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
              {wide ? <Beside plan={held.body.plan} progress={progress} /> : null}
            </View>
            {controls}
          </View>
          <Target progress={progress} beside={flat} onTick={step} onUndo={undo} />
        </View>
        {PANELS.find((panel) => panel.id === open)?.draw({
          id,
          make: held.body,
          progress,
          mended,
          changed,
          onClose: () => setOpen(null),
          onLeave: () => {
            setOpen(null);
            router.navigate('/ledger');
          },
        })}
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
