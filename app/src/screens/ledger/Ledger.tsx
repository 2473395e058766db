import {
  capital,
  finishOf,
  formatNumber,
  isFinished,
  planAgain,
  pocketsMade,
  sizesMade,
  type Make,
  type Plan,
  type Worked,
} from '@keep-snug/core';
import { useRouter, type Href } from 'expo-router';
import { useMemo, useState, type ComponentProps } from 'react';
import { View } from 'react-native';
import { copyPlan } from '@/reading/copyPlan';
import { MiniPiece } from '@/drawing/MiniPiece';
import { Portrait } from '@/drawing/portrait/Portrait';
import { atTheHook } from '@/ui/lists/PaceLine';
import { FinishedPicture } from '@/ui/fields/PictureField';
import { SizesSaid } from '@/ui/lists/SizesBeside';
import { isPicture } from '@/ui/fields/smallPicture';
import { useFollowed, useProgress } from '@/reading/useProgress';
import { startMake } from '@/reading/start';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { Clash } from '@/ui/notices/Clash';
import { figureLength } from '@/ui/lists/figureLength';
import { EmptyPlace, Fetching } from '@/ui/notices/EmptyPlace';
import { ListTools } from '@/ui/lists/ListTools';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { ListPage } from '@/ui/layout/Page';
import { Panel } from '@/ui/layout/Panel';
import { Press } from '@/ui/actions/Press';
import { useFinding } from '@/ui/lists/useFinding';
import { Words } from '@/ui/layout/Words';
import { useDevice } from '@/data/device';
import { useEvents, useMakeEvents } from '@/data/events';
import { useDeleting } from '@/data/deleting';
import { useLibrary, useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useWholeMake } from '@/data/sync';
import { learnt } from '@/reading/newPlan';
import { Charts } from './Charts';
import { Compare } from './Compare';
import { finishedMake, fitsOf, latestOf, wordsOf, type Fits } from '@/data/finished';
import type { LocalDocument } from '@/data/types';
import { settleYarn } from '@/data/takeFromBox';
import { FITTED } from '@/reading/fitted';

/** What a finished piece looks like, where there is none. */
const SAMPLE = [
  { name: 'front', rows: 35 },
  { name: 'back', rows: 35 },
  { name: 'turn', rows: 4 },
  { name: 'flap', rows: 12 },
];

/** How they fit, as what they are filtered by. */
const FITS: readonly { id: Fits; name: string }[] = [...FITTED, { id: 'unsaid', name: 'not said' }];

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
          const events = byMake[id]!;
          const { title: name } = held.body;
          return { id, name, words: wordsOf(held.body), kind: fitsOf(events), usedAt: latestOf(events), held };
        }),
    [shelf, byMake],
  );
  const finding = useFinding(finished);
  const [open, setOpen] = useState<'charts' | 'compare' | null>(null);
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
              <MiniPiece piece={{ sections: SAMPLE }} rowsDone={0} width={220} height={52} />
            </EmptyPlace>
          ) : null}
          <ListTools
            what="projects"
            finding={finding}
            kinds={FITS.filter(({ id }) => finished.some(({ kind }) => kind === id))}
            from={4}
          />
          {finished.length > 1 ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
              <Action onPress={() => setOpen('charts')}>Charts</Action>
              <Action onPress={() => setOpen('compare')}>Compare two</Action>
            </View>
          ) : null}
          {open === 'charts' ? (
            <Panel title="What they say together" onClose={() => setOpen(null)}>
              <Charts makes={finished.flatMap(({ id, held }) => finishedMake(held.body, byMake[id] ?? []) ?? [])} />
            </Panel>
          ) : null}
          {open === 'compare' ? <Compare makes={finished} onClose={() => setOpen(null)} /> : null}
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
  // with what this one and all others taught
  const again = () => learnt(planAgain(make.plan, useEvents.getState().byMake[id] ?? []));
  const sameAgain = () => {
    const plan = again();
    // a piece of a batch, or one whose plan was deleted, has none of its own: it is kept as one
    const planId = hasPlan ? make.planId : useLibrary.getState().add('plans', plan);
    return startMake(planId, plan);
  };
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
                settleYarn(id);
                open(`/make/${id}`);
              },
            },
            { name: 'Delete', do: () => remove('makes', id, make.title) },
          ]}
        />
      </View>
      <View style={{ flexDirection: 'row', columnGap: 16 }}>
        <CameOutSeen id={id} plan={plan} worked={worked} />
        <View style={{ flex: 1, gap: 8 }}>
          <Words>
            {`${piece.summary}, in ${yarn?.name ?? 'yarn'} on ${hookMm} mm; planned ${figureLength(worked.outside.width.value, units)} × ${figureLength(worked.outside.height.value, units)} folded, ${plan.fit.name}.`}
          </Words>
          <CameOut id={id} worked={worked} />
        </View>
      </View>
      <Clash kind="makes" id={id} held={held} />
      {state.notes.map((note) => (
        <Words key={note.id} as="small" tone="thread">{`Note: ${note.text}`}</Words>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16 }}>
        <Words as="small" tone="faint">
          Make it again:
        </Words>
        <Action label={`Make the same again: ${make.title}`} onPress={() => open(`/make/${sameAgain()}`)}>
          the same
        </Action>
        <Action
          label={`Make it again for another item: ${make.title}`}
          onPress={() => open(`/plan/${copyPlan(again())}?stage=thing`)}
        >
          for another item
        </Action>
        <Action
          label={`Make it again in another yarn: ${make.title}`}
          onPress={() => open(`/plan/${copyPlan(again())}?stage=fabric`)}
        >
          in another yarn
        </Action>
      </View>
    </CardBox>
  );
}

type Seen = ComponentProps<typeof Portrait>['worked'] & Pick<Worked, 'outside' | 'inside'>;

/** As wide and high as it was measured, what was planned about it in outline. */
function CameOutSeen({ id, plan, worked }: { id: string; plan: Plan; worked: Seen }) {
  const events = useMakeEvents(id);
  const sizes = useMemo(() => sizesMade(worked, events), [worked, events]);
  return <Portrait plan={plan} worked={worked} sizes={sizes} width={116} height={150} />;
}

/** How it came out, where that was said. */
function CameOut({ id, worked }: { id: string; worked: Pick<Worked, 'outside' | 'inside' | 'pockets'> }) {
  const events = useMakeEvents(id);
  const finish = finishOf(events);
  if (!finish) return null;
  const { asMade, fits, rooms, grams, minutes, note, picture } = finish;
  const fitted = FITTED.find((one) => one.id === fits)?.name;
  const said = [
    ...(fitted ? [`sits ${fitted}${rooms ? ` (${rooms.join(', ')})` : ''}`] : []),
    ...(grams === undefined ? [] : [`${formatNumber(grams, 0)} g of yarn`]),
    ...(minutes === undefined ? [] : [atTheHook(minutes)]),
  ].join(', ');
  return (
    <>
      {isPicture(picture) ? <FinishedPicture picture={picture} /> : null}
      {asMade ? <SizesSaid sizes={sizesMade(worked, events)} /> : null}
      <PocketsSaid worked={worked} id={id} />
      {said ? <Words as="smallStrong">{capital(said)}</Words> : null}
      {note ? <Words as="small" tone="thread">{`For next time: ${note}`}</Words> : null}
    </>
  );
}

/** How deep its pockets came out, where they were measured. */
function PocketsSaid({ id, worked }: { id: string; worked: Pick<Worked, 'pockets'> }) {
  const events = useMakeEvents(id);
  const units = useSettings((state) => state.units);
  const measured = pocketsMade(worked, events).filter(({ made }) => made !== undefined);
  return measured.map(({ name, planned, made }) => (
    <Words key={name} as="small">
      {`${capital(name)}: ${figureLength(made!, units)} deep, planned ${figureLength(planned, units)}`}
    </Words>
  ));
}

function day(iso: string): string {
  return new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
}
