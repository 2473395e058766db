import {
  byCode,
  fileNameOf,
  isFinished,
  isPractice,
  sectionWord,
  type Make,
  type MakingStep,
  type Plan,
  type Worked,
} from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState, type ReactNode, type ComponentProps } from 'react';
import { StyleSheet, View } from 'react-native';
import { copyPlan } from '@/reading/copyPlan';
import { reckonedFor, reckonFor, useReader } from '@/reading/useWorked';
import { Portrait, portraitPicture } from '@/drawing/portrait/Portrait';
import { courseWord, useProgress, type Progress } from '@/reading/useProgress';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { Clash } from '@/ui/notices/Clash';
import { EmptyPlace } from '@/ui/notices/EmptyPlace';
import { ListTools } from '@/ui/lists/ListTools';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { ListPage, type Item } from '@/ui/layout/Page';
import { Press } from '@/ui/actions/Press';
import { Tape } from '@/ui/layout/Tape';
import { useBox } from '@/ui/layout/useBox';
import { useFinding } from '@/ui/lists/useFinding';
import { Words } from '@/ui/layout/Words';
import { SaveReminder } from '@/ui/notices/SaveReminder';
import { useDeleting } from '@/data/deleting';
import { useEvents } from '@/data/events';
import { Strangers } from './Strangers';
import { useLibrary, useShelf } from '@/data/library';
import { useIdle } from '@/platform/useIdle';
import { useIdleTurn } from '@/platform/idleQueue';
import { useUsed } from '@/data/used';
import { useWide } from '@/theme/useWide';
import { hasKept, keepOrder, keptCard } from '@/data/keptBench';
import { Batches } from './Batches';
import { DaysCard } from './DaysCard';
import { KeptPicture, useKept } from './Kept';
import { PlansIn } from './PlansIn';
import { later } from '@/ui/layout/later';
import type { SharePanel as Share } from '@/ui/share/SharePanel';
import type { LocalDocument } from '@/data/types';

/** What plans are sent by comes when the first is sent. */
const SharePanel = later<ComponentProps<typeof Share>>(() =>
  import('@/ui/share/SharePanel').then((all) => all.SharePanel),
);

type Makes = readonly [string, LocalDocument<Make>][];

/** What is on the hook now, what is planned, and the plans of what was made. */
export function Bench() {
  const router = useRouter();
  const wide = useWide();
  const all = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  // finished ones lie in the ledger: nothing is reckoned for them here
  const makes = useMemo(() => lastFirst(all.filter(([id]) => !isFinished(byMake[id] ?? []))), [all, byMake]);
  const shelf = useShelf('plans');
  const entries = useMemo(() => planEntries(shelf, all, makes), [shelf, all, makes]);
  // what is on the hook is drawn first
  const isIdle = useIdle();
  // what was seen last time is seen at once
  const isSeen = isIdle || hasKept();
  const finding = useFinding(isSeen ? entries : NONE);
  const open = makes.filter(([, { body }]) => !body.aside);
  const aside = makes.filter(([, { body }]) => body.aside);
  useKeptOrder(open, finding.search ? undefined : finding.found);
  return (
    <ListPage
      title="Bench"
      says="What you are making, and what you plan to make."
      main={{ name: 'New plan', do: () => router.push('/starts') }}
      over={
        <>
          <SaveReminder />
          {shelf.length + all.length === 0 ? <Empty /> : null}
          <View style={STYLES.strips}>
            {open.map(([id, held]) => (
              <View key={id} style={STYLES.strip}>
                <MakeStrip id={id} held={held} />
              </View>
            ))}
          </View>
          {isIdle ? (
            <>
              <DaysCard />
              <Strangers />
              <Batches />
              <PlansIn />
            </>
          ) : null}
          {isSeen ? <ListTools what="plans" finding={finding} /> : null}
        </>
      }
      items={
        isSeen
          ? [
              ...section(
                'Not started',
                finding.found.filter(({ state }) => state === 'waiting'),
                wide,
              ),
              ...section(
                'Being made',
                finding.search ? finding.found.filter(({ state }) => state === 'on the hook') : [],
                wide,
              ),
              ...section(
                'Made before',
                finding.found.filter(({ state }) => state === 'made'),
                wide,
              ),
            ]
          : NOTHING
      }
      under={isIdle ? <Aside makes={aside} /> : null}
    />
  );
}

/** What is seen first of the bench, in its order, is kept for the next time. */
function useKeptOrder(open: Makes, found: readonly Entry[] | undefined): void {
  const ids = found && [...open.map(([id]) => id), ...found.map(({ id }) => id)];
  const told = ids?.join(' ');
  useEffect(() => {
    if (told !== undefined) keepOrder(told.split(' '));
  }, [told]);
}

const NOTHING: Item[] = [];
const NONE: Entry[] = [];

const lastFirst = (makes: Makes) => [...makes].sort(([, a], [, b]) => byCode(b.body.startedAt, a.body.startedAt));

/** A list in rows of so many. */
const rowsOf = <T,>(list: readonly T[], many: number): T[][] =>
  list.flatMap((_, index) => (index % many === 0 ? [list.slice(index, index + many)] : []));

interface Entry {
  id: string;
  name: string;
  words: string;
  usedAt: string;
  held: LocalDocument<Plan>;
  state: 'waiting' | 'on the hook' | 'made';
}

/** Plans with what they are found by: their thing, yarn and stitch too. */
function planEntries(plans: readonly [string, LocalDocument<Plan>][], all: Makes, open: Makes): Entry[] {
  const onHook = new Set(open.map(([, { body }]) => body.planId));
  const begun = new Map(all.map(([, { body }]) => [body.planId, body.startedAt]));
  return plans.map(([id, held]) => {
    const { title, thing, fabric, shape } = held.body;
    const state = onHook.has(id) ? 'on the hook' : begun.has(id) ? 'made' : 'waiting';
    const yarns = (fabric.yarns ?? [fabric.yarn]).map((yarn) => yarn?.name);
    const words = [thing.name, ...yarns, fabric.stitch, shape.kind].filter(Boolean).join(' ');
    return { id, name: title, words, usedAt: begun.get(id) ?? '', held, state };
  });
}

/** So many plans stand beside each other. */
const across = (wide: boolean): number => (wide ? 2 : 1);

function section(title: string, entries: readonly Entry[], wide: boolean): Item[] {
  if (entries.length === 0) return [];
  const heading = () => (
    <Words as="heading" level={2}>
      {title}
    </Words>
  );
  return [
    { key: title, draw: heading },
    ...rowsOf(entries, across(wide)).map((row) => ({
      key: row.map(({ id }) => id).join(' '),
      draw: () => (
        <View style={STYLES.row}>
          {row.map(({ id, held }) => (
            <View key={id} style={STYLES.inRow}>
              <PlanLine id={id} held={held} />
            </View>
          ))}
          {row.length < across(wide) ? <View style={STYLES.inRow} /> : null}
        </View>
      ),
    })),
  ];
}

/** A make as a strip of tape pulled out as far as it has got, its next row in words; before that is worked out, its shape. */
function MakeStrip({ id, held }: { id: string; held: LocalDocument<Make> }) {
  const isIdle = useIdle();
  if (isIdle) return <ToldStrip id={id} held={held} />;
  const kept = keptCard(id);
  const seen = <KeptPicture card={kept} size={STYLES.seen} />;
  const tape = kept?.tape ? { tape: kept.tape } : {};
  return (
    <StripCard
      id={id}
      held={held}
      row={kept?.line ?? ' '}
      next={kept?.next ?? ' '}
      seen={seen}
      begun={kept?.begun ?? true}
      {...tape}
    />
  );
}

function ToldStrip({ id, held }: { id: string; held: LocalDocument<Make> }) {
  const progress = useProgress(id, held.body);
  const { row, next: told } = stripWords(progress?.next);
  const { plan, title } = held.body;
  const begun = progress ? progress.state.done.length > 0 : true;
  const tape = progress ? tapeOut(progress) : undefined;
  useKept(
    { id, to: `/make/${id}`, title, line: row, next: told, begun, ...(tape ? { tape } : {}) },
    progress && { plan, worked: progress.worked as Worked, made: progress.rowsMade },
  );
  if (!progress) return null;
  return (
    <StripCard
      id={id}
      held={held}
      row={row}
      next={told}
      begun={begun}
      seen={<Portrait plan={held.body.plan} worked={progress.worked} made={progress.rowsMade} {...STYLES.seen} />}
      {...(tape ? { tape } : {})}
    />
  );
}

/** Pulled out as far as it has got, and a little where nothing is done: to be seen. */
const tapeOut = ({ reachedMm, lengthMm, marksMm }: Progress) => ({
  lengthMm,
  outMm: Math.max(reachedMm, lengthMm * 0.01),
  marks: marksMm,
});

/** Where a make has got to, and what comes next, in words. */
function stripWords(next: MakingStep | undefined): { row: string; next: string } {
  if (!next) return { row: 'All done', next: 'Next: mark as finished.' };
  const row = next.row ? `${courseWord(next)} ${next.row} of ${next.of}, ${sectionWord(next.section)}` : 'Rows done';
  return { row, next: `Next: ${next.text}` };
}

interface StripProps {
  id: string;
  held: LocalDocument<Make>;
  row: string;
  next: string;
  begun: boolean;
  tape?: { lengthMm: number; outMm: number; marks: readonly number[] };
  /** As far as it is made. */
  seen?: ReactNode;
}

/** Any length, for a tape of which nothing is known yet, mm. */
const SOME_MM = 300;

function StripCard({ id, held, row, next, begun, tape, seen }: StripProps) {
  const make = held.body;
  const router = useRouter();
  const { box, onLayout } = useBox();
  const remove = useDeleting((state) => state.remove);
  return (
    <CardBox>
      <View style={STYLES.line}>
        <View style={STYLES.seen}>{seen}</View>
        <View style={{ flex: 1 }}>
          <Words as="heading" level={2} style={{ fontSize: 22, lineHeight: 28 }}>
            {make.title}
          </Words>
          <Words as="strong">{row}</Words>
        </View>
        <MoreMenu
          of={make.title}
          entries={[
            // a practice swatch is begun from its stitch: there is no plan behind it
            ...(isPractice(make.plan)
              ? []
              : make.batch
                ? [
                    { name: 'Open batch', do: () => router.push(`/batch/${make.batch!.batch}`) },
                    { name: 'Pattern', do: () => router.push(`/sheet/${id}?of=make`) },
                  ]
                : [
                    { name: 'Open plan', do: () => router.push(`/plan/${make.planId}`) },
                    { name: 'Pattern', do: () => router.push(`/sheet/${make.planId}`) },
                  ]),
            {
              name: 'Put aside',
              do: () => useLibrary.getState().change('makes', id, { ...make, aside: true }),
            },
            { name: 'Delete', do: () => remove('makes', id, make.title) },
          ]}
        />
      </View>
      <View onLayout={onLayout}>
        <Tape px={box.width} {...(tape ?? { lengthMm: SOME_MM, outMm: 0 })} />
      </View>
      <Clash kind="makes" id={id} held={held} />
      <Words tone="faint">{next}</Words>
      <View style={STYLES.begin}>
        <Action main label={`Continue: ${make.title}`} onPress={() => router.push(`/make/${id}`)}>
          {begun ? 'Continue' : 'Start'}
        </Action>
      </View>
    </CardBox>
  );
}

/** Makes that were put aside: nothing is reckoned for them until they are continued. */
function Aside({ makes }: { makes: Makes }) {
  const remove = useDeleting((state) => state.remove);
  if (makes.length === 0) return null;
  const takeUp = (id: string, { aside: _aside, ...make }: Make) => useLibrary.getState().change('makes', id, make);
  return (
    <View style={{ gap: 10 }}>
      <Words as="heading" level={2}>
        Put aside
      </Words>
      {makes.map(([id, held]) => (
        <CardBox key={id} padding={6}>
          <View style={STYLES.line}>
            <Words as="strong" style={{ flex: 1, paddingLeft: 8 }}>
              {held.body.title}
            </Words>
            <Action label={`Bring back: ${held.body.title}`} onPress={() => takeUp(id, held.body)}>
              Bring back
            </Action>
            <MoreMenu
              of={held.body.title}
              entries={[{ name: 'Delete', do: () => remove('makes', id, held.body.title) }]}
            />
          </View>
          <Clash kind="makes" id={id} held={held} />
        </CardBox>
      ))}
    </View>
  );
}

/** A plan: the card opens it, what else can be done is in its menu. */
function PlanLine({ id, held }: { id: string; held: LocalDocument<Plan> }) {
  const plan = held.body;
  const router = useRouter();
  const reader = useReader();
  const remove = useDeleting((state) => state.remove);
  const isItsTurn = useIdleTurn(reckonedFor(plan, reader) !== null);
  const worked = isItsTurn ? reckonFor(plan, reader).worked : null;
  const piece = worked?.pieces[0];
  const hasFaults = isItsTurn && !piece;
  const kept = isItsTurn ? undefined : keptCard(id);
  useKept({ id, to: `/plan/${id}`, title: plan.title, line: piece?.summary ?? '' }, worked && { plan, worked });
  const [sharing, setSharing] = useState(false);
  const open = (to: `/plan/${string}` | `/sheet/${string}`) => {
    useUsed.getState().touch(id);
    router.push(to);
  };
  return (
    <CardBox padding={0}>
      <View style={STYLES.line}>
        <Press label={`Open the plan: ${plan.title}`} onPress={() => open(`/plan/${id}`)} style={STYLES.card}>
          <View style={STYLES.inCard}>
            <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 140 }}>
              <Words as="strong">{plan.title}</Words>
              <Words as="small" tone="faint">
                {hasFaults ? 'an entry needs a fix' : (piece?.summary ?? kept?.line ?? ' ')}
              </Words>
            </View>
            {hasFaults ? null : (
              <View style={STYLES.mini}>
                {worked ? (
                  <Portrait plan={plan} worked={worked} {...STYLES.mini} />
                ) : (
                  <KeptPicture card={kept} size={STYLES.mini} />
                )}
              </View>
            )}
          </View>
        </Press>
        <MoreMenu
          of={plan.title}
          entries={[
            ...(hasFaults ? [] : [{ name: 'Pattern', do: () => open(`/sheet/${id}`) }]),
            ...(hasFaults ? [] : [{ name: 'Share', do: () => setSharing(true) }]),
            { name: 'Copy plan', do: () => router.push(`/plan/${copyPlan(plan)}`) },
            { name: 'Delete', do: () => remove('plans', id, plan.title) },
          ]}
        />
      </View>
      <Clash kind="plans" id={id} held={held} />
      {sharing ? (
        <SharePanel
          plan={plan}
          file={fileNameOf(plan.title, 'pdf')}
          picture={worked ? (px) => portraitPicture(plan, worked, reader.hand, 'front', px) : undefined}
          onClose={() => setSharing(false)}
        />
      ) : null}
    </CardBox>
  );
}

function Empty() {
  const router = useRouter();
  const { box, onLayout } = useBox();
  return (
    <EmptyPlace
      title="No projects yet"
      text="Choose a cover and type two to four measurements. You get a pattern that fits."
      action={{ name: 'Plan your first cover', do: () => router.push('/starts') }}
      also={{ name: 'How it goes', do: () => router.push('/guide') }}
    >
      <View onLayout={onLayout}>
        <Tape lengthMm={200} px={box.width} outMm={4} />
      </View>
    </EmptyPlace>
  );
}

const STYLES = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', columnGap: 8 },
  begin: { flexDirection: 'row', justifyContent: 'flex-end' },
  card: { flex: 1, padding: 14 },
  mini: { width: 84, height: 64 },
  seen: { width: 72, height: 72 },
  strips: { flexDirection: 'row', flexWrap: 'wrap', gap: 20 },
  strip: { flexGrow: 1, flexBasis: 440, maxWidth: '100%' },
  row: { flexDirection: 'row', columnGap: 10 },
  inRow: { flex: 1, minWidth: 0 },
  inCard: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 6 },
});
