import { useRouter } from 'expo-router';
import { isFinished, type Make, type Plan } from '@keep-snug/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { copyPlan } from '@/board/copyPlan';
import { reckonFor, useReader } from '@/board/useWorked';
import { MiniPiece } from '@/drawing/MiniPiece';
import { courseWord, useProgress } from '@/making/useProgress';
import { Action } from '@/parts/Action';
import { Clash } from '@/parts/Clash';
import { EmptyPlace } from '@/parts/EmptyPlace';
import { Page } from '@/parts/Page';
import { Press } from '@/parts/Press';
import { Tape } from '@/parts/Tape';
import { useBox } from '@/parts/useBox';
import { Words } from '@/parts/Words';
import { useEvents } from '@/state/events';
import { useDeleting } from '@/state/deleting';
import { useLibrary, useShelf, type LocalDocument } from '@/state/library';
import { SaveReminder } from '@/settings/SaveReminder';
import { useColours } from '@/theme/useTheme';

/** What is on the hook now, what is planned, and the plans of what was made. */
export function Bench() {
  const router = useRouter();
  const all = useShelf('makes');
  const byMake = useEvents((state) => state.byMake);
  // finished ones lie in the ledger: nothing is reckoned for them here
  const makes = useMemo(
    () =>
      all
        .filter(([id]) => !isFinished(byMake[id] ?? []))
        .sort(([, a], [, b]) => b.body.startedAt.localeCompare(a.body.startedAt)),
    [all, byMake],
  );
  const shelf = useShelf('plans');
  const plans = useMemo(() => [...shelf].sort(([, a], [, b]) => a.body.title.localeCompare(b.body.title)), [shelf]);
  const begun = new Set(all.map(([, held]) => held.body.planId));
  const onHook = new Set(makes.map(([, held]) => held.body.planId));
  const waiting = plans.filter(([id]) => !begun.has(id));
  const made = plans.filter(([id]) => begun.has(id) && !onHook.has(id));
  return (
    <Page
      title="Bench"
      actions={
        <Action main onPress={() => router.push('/new')}>
          Start a new one
        </Action>
      }
    >
      <SaveReminder />
      {plans.length + all.length === 0 ? <Empty /> : null}
      {makes
        .filter(([, held]) => !held.body.aside)
        .map(([id, held]) => (
          <MakeStrip key={id} id={id} held={held} />
        ))}
      <Plans title="Planned, not begun" plans={waiting} />
      <Plans title="Made before" plans={made} />
      <Aside makes={makes.filter(([, held]) => held.body.aside)} />
    </Page>
  );
}

function Plans({ title, plans }: { title: string; plans: readonly [string, LocalDocument<Plan>][] }) {
  if (plans.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <Words as="heading" level={2}>
        {title}
      </Words>
      {plans.map(([id, held]) => (
        <PlanLine key={id} id={id} held={held} />
      ))}
    </View>
  );
}

/** A make as a strip of tape pulled out as far as it has got, its next row in words. */
function MakeStrip({ id, held }: { id: string; held: LocalDocument<Make> }) {
  const make = held.body;
  const colours = useColours();
  const router = useRouter();
  const { box, onLayout } = useBox();
  const remove = useDeleting((state) => state.remove);
  const progress = useProgress(id, make);
  if (!progress) return null;
  const { next, reachedMm, lengthMm, marksMm, state } = progress;
  const row = next?.row ? `${courseWord(next)} ${next.row} of ${next.of}` : next ? 'Rows done' : 'All done';
  return (
    <View style={{ backgroundColor: colours.surface, borderWidth: 1, borderColor: colours.line, padding: 16, gap: 10 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 8 }}>
        <View style={{ flexGrow: 1, flexBasis: 220 }}>
          <Words as="heading" level={2} style={{ fontSize: 22, lineHeight: 28 }}>
            {make.title}
          </Words>
          <Words as="strong">{`${row}${next?.row ? `, ${next.section}` : ''}`}</Words>
        </View>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
          <Action label={`Plan: ${make.title}`} onPress={() => router.push(`/plan/${make.planId}`)}>
            Plan
          </Action>
          <Action
            label={`Put aside: ${make.title}`}
            onPress={() => useLibrary.getState().change('makes', id, { ...make, aside: true })}
          >
            Put aside
          </Action>
          <Action label={`Delete: ${make.title}`} onPress={() => remove('makes', id, make.title)}>
            Delete
          </Action>
          <Action main label={`Go on making: ${make.title}`} onPress={() => router.push(`/make/${id}`)}>
            {state.done.length === 0 ? 'Begin' : 'Go on'}
          </Action>
        </View>
      </View>
      <View onLayout={onLayout}>
        <Tape lengthMm={lengthMm} px={box.width} outMm={Math.max(reachedMm, lengthMm * 0.01)} marks={marksMm} />
      </View>
      <Clash kind="makes" id={id} held={held} />
      <Words tone="faint">{next ? `Next: ${next.text}` : 'Next: put it in the ledger.'}</Words>
    </View>
  );
}

/** Makes that were put aside: nothing is reckoned for them until they are taken up again. */
function Aside({ makes }: { makes: readonly [string, LocalDocument<Make>][] }) {
  const colours = useColours();
  const remove = useDeleting((state) => state.remove);
  if (makes.length === 0) return null;
  const takeUp = (id: string, { aside: _aside, ...make }: Make) => useLibrary.getState().change('makes', id, make);
  return (
    <View style={{ gap: 10 }}>
      <Words as="heading" level={2}>
        Put aside
      </Words>
      {makes.map(([id, { body }]) => (
        <View
          key={id}
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            alignItems: 'center',
            columnGap: 16,
            backgroundColor: colours.surface,
            borderWidth: 1,
            borderColor: colours.line,
            paddingHorizontal: 14,
          }}
        >
          <Words as="strong" style={{ flexGrow: 1, flexBasis: 160 }}>
            {body.title}
          </Words>
          <Action label={`Take up again: ${body.title}`} onPress={() => takeUp(id, body)}>
            Take up again
          </Action>
          <Action label={`Delete: ${body.title}`} onPress={() => remove('makes', id, body.title)}>
            Delete
          </Action>
        </View>
      ))}
    </View>
  );
}

function PlanLine({ id, held }: { id: string; held: LocalDocument<Plan> }) {
  const plan = held.body;
  const colours = useColours();
  const router = useRouter();
  const reader = useReader();
  const remove = useDeleting((state) => state.remove);
  const { worked } = reckonFor(plan, reader);
  const piece = worked?.pieces[0];
  return (
    <View>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          backgroundColor: colours.surface,
          borderWidth: 1,
          borderColor: colours.line,
          marginTop: 6,
        }}
      >
        <Press
          label={`Open the plan: ${plan.title}`}
          onPress={() => router.push(`/plan/${id}`)}
          style={{ flex: 1, padding: 14 }}
        >
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 6 }}>
            <View style={{ flexGrow: 1, flexBasis: 200 }}>
              <Words as="strong">{plan.title}</Words>
              <Words as="small" tone="faint">
                {piece ? piece.summary : 'an entry needs mending'}
              </Words>
            </View>
            {piece ? <MiniPiece sections={piece.sections} rowsDone={0} width={120} height={30} /> : null}
          </View>
        </Press>
        <View style={{ paddingRight: 12 }}>
          <Action label={`Copy: ${plan.title}`} onPress={() => router.push(`/plan/${copyPlan(plan)}`)}>
            Copy
          </Action>
          <Action label={`Delete: ${plan.title}`} onPress={() => remove('plans', id, plan.title)}>
            Delete
          </Action>
        </View>
      </View>
      <Clash kind="plans" id={id} held={held} />
    </View>
  );
}

function Empty() {
  const router = useRouter();
  const { box, onLayout } = useBox();
  return (
    <EmptyPlace
      title="Nothing is on the hook"
      text="Take the thing in one hand and a tape in the other: width, height and depth are enough to size a pouch for it."
      action={{ name: 'Start the first one', do: () => router.push('/new') }}
    >
      <View onLayout={onLayout}>
        <Tape lengthMm={200} px={box.width} outMm={4} />
      </View>
    </EmptyPlace>
  );
}
