import { formatLength, formatLengthNumber, isFinished, type KeptEvent, type Make } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { copyPlan } from '@/board/copyPlan';
import { MiniPiece } from '@/drawing/MiniPiece';
import { useProgress } from '@/making/useProgress';
import { startMake } from '@/making/start';
import { Action } from '@/parts/Action';
import { Clash } from '@/parts/Clash';
import { EmptyPlace, Fetching } from '@/parts/EmptyPlace';
import { Page } from '@/parts/Page';
import { Words } from '@/parts/Words';
import { useDevice } from '@/state/device';
import { useEvents } from '@/state/events';
import { useDeleting } from '@/state/deleting';
import { useLibrary, useShelf, type LocalDocument } from '@/state/library';
import { useSettings } from '@/state/settings';
import { useWholeMake } from '@/state/sync';
import { useColours } from '@/theme/useTheme';

/** What a finished piece looks like, where there is none. */
const SAMPLE = [
  { name: 'front', rows: 35 },
  { name: 'back', rows: 35 },
  { name: 'turn', rows: 4 },
  { name: 'flap', rows: 12 },
];

/** Each is reckoned when it is shown. */
const SHOWN_AT_ONCE = 20;

/** Finished makes: what was planned, when, and what was noted on the way. */
export function Ledger() {
  const router = useRouter();
  const byMake = useEvents((state) => state.byMake);
  const all = useDevice((state) => state.all);
  const finished = useShelf('makes')
    .filter(([id]) => isFinished(byMake[id] ?? []))
    .map(([id, held]) => ({ id, held, at: latest(byMake[id]!) }))
    .sort((a, b) => b.at.localeCompare(a.at));
  const [shown, setShown] = useState(SHOWN_AT_ONCE);
  return (
    <Page title="Ledger">
      {finished.length === 0 && !all ? <Fetching /> : null}
      {finished.length === 0 && all ? (
        <EmptyPlace
          title="Nothing is finished yet"
          text="What you make comes to stand here with its counts and your notes, for the next time."
          action={{ name: 'Go to the bench', do: () => router.navigate('/') }}
        >
          <MiniPiece sections={SAMPLE} rowsDone={0} width={220} height={52} />
        </EmptyPlace>
      ) : null}
      {finished.slice(0, shown).map(({ id, held }) => (
        <Entry key={id} id={id} held={held} />
      ))}
      {finished.length > shown ? (
        <Action onPress={() => setShown(shown + SHOWN_AT_ONCE)}>
          {`Show ${Math.min(SHOWN_AT_ONCE, finished.length - shown)} more of ${finished.length}`}
        </Action>
      ) : null}
    </Page>
  );
}

function Entry({ id, held }: { id: string; held: LocalDocument<Make> }) {
  const make = held.body;
  const colours = useColours();
  const router = useRouter();
  const units = useSettings((state) => state.units);
  const happened = useEvents((state) => state.happened);
  const remove = useDeleting((state) => state.remove);
  const hasPlan = useLibrary((state) => state.shelves.plans[make.planId] !== undefined);
  useWholeMake(id);
  const progress = useProgress(id, make);
  if (!progress) return null;
  const { worked, state } = progress;
  const piece = worked.pieces[0]!;
  const { yarn, hookMm } = make.plan.fabric;
  return (
    <View
      role="group"
      aria-label={make.title}
      style={{ backgroundColor: colours.surface, borderWidth: 1, borderColor: colours.line, padding: 16, gap: 8 }}
    >
      <View
        style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', columnGap: 16, rowGap: 8 }}
      >
        <View>
          <Words as="heading" level={2}>
            {make.title}
          </Words>
          <Words tone="faint">{`begun ${day(make.startedAt)}, finished ${day(state.lastAt ?? make.startedAt)}`}</Words>
        </View>
        <MiniPiece sections={piece.sections} rowsDone={piece.rows} width={140} height={34} />
      </View>
      <Words>
        {`${piece.summary}, in ${yarn.name ?? 'yarn'} on ${hookMm} mm; planned ${formatLengthNumber(worked.outside.width.value, units)} × ${formatLength(worked.outside.height.value, units)} folded, ${make.plan.fit.name}.`}
      </Words>
      <Clash kind="makes" id={id} held={held} />
      {state.notes.map((note) => (
        <Words key={note.id} as="small" tone="thread">{`Note: ${note.text}`}</Words>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
        <Action
          label={`Make again: ${make.title}`}
          onPress={() => router.push(`/make/${startMake(make.planId, make.plan)}`)}
        >
          Make it again
        </Action>
        <Action label={`Change it first: ${make.title}`} onPress={() => router.push(`/plan/${copyPlan(make.plan)}`)}>
          Change it first
        </Action>
        <Action
          label={`Not finished after all: ${make.title}`}
          onPress={() => {
            happened(id, { kind: 'reopened' });
            router.push(`/make/${id}`);
          }}
        >
          Not finished after all
        </Action>
        {hasPlan ? (
          <Action label={`Plan: ${make.title}`} onPress={() => router.push(`/plan/${make.planId}`)}>
            Plan
          </Action>
        ) : null}
        <Action label={`Delete: ${make.title}`} onPress={() => remove('makes', id, make.title)}>
          Delete
        </Action>
      </View>
    </View>
  );
}

function latest(events: readonly KeptEvent[]): string {
  return events.reduce((last, { at }) => (at > last ? at : last), '');
}

function day(iso: string): string {
  return new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });
}
