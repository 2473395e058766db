import { finishOf, formatNumber, isFinished, sizesMade, type KeptEvent, type Make, type Worked } from '@keep-snug/core';
import { useRouter, type Href } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { copyPlan } from '@/board/copyPlan';
import { MiniPiece } from '@/drawing/MiniPiece';
import { FITTED } from '@/making/FinishPanel';
import { SizesBeside } from '@/making/SizesBeside';
import { useFollowed, useProgress } from '@/making/useProgress';
import { startMake } from '@/making/start';
import { Action } from '@/parts/Action';
import { CardBox } from '@/parts/CardBox';
import { Clash } from '@/parts/Clash';
import { figureLength } from '@/parts/figureLength';
import { EmptyPlace, Fetching } from '@/parts/EmptyPlace';
import { ListTools } from '@/parts/ListTools';
import { MoreMenu } from '@/parts/MoreMenu';
import { ListPage } from '@/parts/Page';
import { Press } from '@/parts/Press';
import { useFinding } from '@/parts/useFinding';
import { Words } from '@/parts/Words';
import { useDevice } from '@/state/device';
import { useEvents, useMakeEvents } from '@/state/events';
import { useDeleting } from '@/state/deleting';
import { useLibrary, useShelf, type LocalDocument } from '@/state/library';
import { useSettings } from '@/state/settings';
import { useWholeMake } from '@/state/sync';

/** What a finished piece looks like, where there is none. */
const SAMPLE = [
  { name: 'front', rows: 35 },
  { name: 'back', rows: 35 },
  { name: 'turn', rows: 4 },
  { name: 'flap', rows: 12 },
];

/** Finished makes: what was planned, when, and what was noted on the way. */
export function Ledger() {
  const router = useRouter();
  const byMake = useEvents((state) => state.byMake);
  const all = useDevice((state) => state.all);
  const shelf = useShelf('makes');
  const finished = useMemo(
    () =>
      shelf
        .filter(([id]) => isFinished(byMake[id] ?? []))
        .map(([id, held]) => {
          const { title, plan } = held.body;
          const { yarn, yarns = [yarn] } = plan.fabric;
          const words = [plan.thing.name, ...yarns.map((one) => one?.name)].filter(Boolean).join(' ');
          return { id, name: title, words, usedAt: latest(byMake[id]!), held };
        }),
    [shelf, byMake],
  );
  const finding = useFinding(finished);
  return (
    <ListPage
      title="Ledger"
      says="What you have finished: counts, sizes and your notes."
      over={
        <>
          {finished.length === 0 && !all ? <Fetching /> : null}
          {finished.length === 0 && all ? (
            <EmptyPlace
              title="No finished projects yet"
              text="Finished projects are kept here with their counts and your notes."
              action={{ name: 'Go to the bench', do: () => router.navigate('/') }}
            >
              <MiniPiece sections={SAMPLE} rowsDone={0} width={220} height={52} />
            </EmptyPlace>
          ) : null}
          <ListTools what="finished projects" finding={finding} />
        </>
      }
      items={finding.found.map(({ id, held }) => ({ key: id, draw: () => <Entry id={id} held={held} /> }))}
    />
  );
}

function Entry({ id, held }: { id: string; held: LocalDocument<Make> }) {
  const make = held.body;
  const router = useRouter();
  const units = useSettings((state) => state.units);
  const happened = useEvents((state) => state.happened);
  const remove = useDeleting((state) => state.remove);
  const hasPlan = useLibrary((state) => state.shelves.plans[make.planId] !== undefined);
  useWholeMake(id);
  const progress = useProgress(id, make);
  const plan = useFollowed(id, make);
  if (!progress) return null;
  const { worked, state } = progress;
  const piece = worked.pieces[0]!;
  const { yarn, hookMm } = plan.fabric;
  const open = (to: Href) => router.push(to);
  return (
    <CardBox label={make.title}>
      <View style={{ flexDirection: 'row', alignItems: 'flex-start', columnGap: 8 }}>
        <Press label={`Pattern: ${make.title}`} onPress={() => open(`/sheet/${id}?of=make`)} style={{ flex: 1 }}>
          <Words as="heading" level={2}>
            {make.title}
          </Words>
          <Words tone="faint">{`started ${day(make.startedAt)}, finished ${day(state.lastAt ?? make.startedAt)}`}</Words>
        </Press>
        <MoreMenu
          of={make.title}
          entries={[
            ...(hasPlan ? [{ name: 'Open plan', do: () => open(`/plan/${make.planId}`) }] : []),
            { name: 'Copy plan', do: () => open(`/plan/${copyPlan(plan)}`) },
            {
              name: 'Move back to the bench',
              do: () => {
                happened(id, { kind: 'reopened' });
                open(`/make/${id}`);
              },
            },
            { name: 'Delete', do: () => remove('makes', id, make.title) },
          ]}
        />
      </View>
      <MiniPiece sections={piece.sections} rowsDone={piece.rows} width={140} height={34} />
      <Words>
        {`${piece.summary}, in ${yarn?.name ?? 'yarn'} on ${hookMm} mm; planned ${figureLength(worked.outside.width.value, units)} × ${figureLength(worked.outside.height.value, units)} folded, ${plan.fit.name}.`}
      </Words>
      <CameOut id={id} worked={worked} />
      <Clash kind="makes" id={id} held={held} />
      {state.notes.map((note) => (
        <Words key={note.id} as="small" tone="thread">{`Note: ${note.text}`}</Words>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
        <Words as="small" tone="faint">
          Make it again:
        </Words>
        <Action
          label={`Make the same again: ${make.title}`}
          onPress={() => open(`/make/${startMake(make.planId, plan)}`)}
        >
          the same
        </Action>
        <Action
          label={`Make it again with changes: ${make.title}`}
          onPress={() => open(`/plan/${copyPlan(plan)}?stage=fabric`)}
        >
          with changes
        </Action>
      </View>
    </CardBox>
  );
}

/** How it came out, where that was said. */
function CameOut({ id, worked }: { id: string; worked: Pick<Worked, 'outside' | 'inside'> }) {
  const events = useMakeEvents(id);
  const finish = finishOf(events);
  if (!finish) return null;
  const { asMade, fits, grams, note } = finish;
  const fitted = FITTED.find((one) => one.id === fits)?.name;
  const said = [
    ...(fitted ? [`sits ${fitted}`] : []),
    ...(grams === undefined ? [] : [`${formatNumber(grams, 0)} g of yarn`]),
  ].join(', ');
  return (
    <>
      {asMade ? <SizesBeside sizes={sizesMade(worked, events)} /> : null}
      {said ? <Words as="smallStrong">{capital(said)}</Words> : null}
      {note ? <Words as="small" tone="thread">{`For next time: ${note}`}</Words> : null}
    </>
  );
}

const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

function latest(events: readonly KeptEvent[]): string {
  return events.reduce((last, { at }) => (at > last ? at : last), '');
}

function day(iso: string): string {
  return new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
}
