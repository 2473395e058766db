import { shapeDefinition, type Plan, type Way } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { FieldRow } from '@/ui/layout/FieldRow';
import { LongWork } from '@/ui/notices/LongWork';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { Pick } from '@/ui/fields/Pick';
import { RoomBar } from '@/ui/layout/RoomBar';
import { Tabs } from '@/ui/layout/Tabs';
import { useBox } from '@/ui/layout/useBox';
import { Title } from '@/ui/layout/Title';
import { Words } from '@/ui/layout/Words';
import { useHistory } from '@/data/history';
import { useLibrary } from '@/data/library';
import { fabricsAtHand, useAtHand } from '@/reading/useAtHand';
import { useColours } from '@/theme/useTheme';
import { useWays } from '@/platform/useReckonWorker';
import { askFor, bestOfEach, isTaken, ORDERS, SCOPES, sorted, type Order, type Scope } from './comparing';
import { WayCard } from './WayCard';

/** Ways to make a cover for the plan's thing, side by side. Taking one is a step of the plan, to be undone like any. */
export function WaysRoom({ id, plan }: { id: string; plan: Plan }) {
  const colours = useColours();
  const router = useRouter();
  const board = `/plan/${id}` as const;
  const take = (way: Plan) => {
    useHistory.getState().edit(id, () => way);
    router.navigate(board);
  };
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={{ to: board, name: 'the plan' }}>
        <View style={{ flex: 1, paddingVertical: 8 }}>
          <Title style={{ fontSize: 20 }}>Compare ways to make it</Title>
          <Words as="small" tone="faint">
            {plan.title}
          </Words>
        </View>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={{ width: '100%', maxWidth: 1240, padding: 16, gap: 14 }}>
          <WayTable plan={plan} onTake={take} />
        </View>
      </ScrollView>
    </View>
  );
}

const GAP = 12;
const LEAST_WIDE = 165;
const AT_ONCE = 4;

/** Narrower than this, two rows of choices would push the ways out of sight, px. */
const NARROW = 640;

/** As many beside each other as have room for their words. */
const columnsIn = (width: number) => Math.max(1, Math.min(AT_ONCE, Math.floor((width + GAP) / (LEAST_WIDE + GAP))));

/** All of them, in the order asked for; those that cannot be, with their reasons, at the end. */
function WayTable({ plan, onTake }: { plan: Plan; onTake: (plan: Plan) => void }) {
  const [order, setOrder] = useState<Order>('worth');
  const [scope, setScope] = useState<Scope>('shapes');
  const { box, onLayout } = useBox();
  const atHand = useAtHand();
  const ask = useMemo(
    () => askFor(plan, scope, atHand, fabricsAtHand(plan.fabric, atHand, useLibrary.getState().shelves)),
    [plan, scope, atHand],
  );
  const { soFar, is, stop, takeUp } = useWays(ask);
  const list = soFar ? bestOfEach(soFar.ways.ways, plan) : [];
  const possible = sorted(
    list.filter((way) => way.possible),
    order,
  );
  const width = Math.floor((box.width - (columnsIn(box.width) - 1) * GAP) / columnsIn(box.width));
  return (
    <>
      {box.width > 0 && box.width < NARROW ? (
        <FieldRow>
          <Pick label="Compare" value={scope} options={SCOPES} onChange={(id) => setScope(id as Scope)} />
          <Pick label="Sort by" value={order} options={ORDERS} onChange={(id) => setOrder(id as Order)} />
        </FieldRow>
      ) : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between', columnGap: 24 }}>
          <Tabs label="Compare" as="radio" value={scope} options={SCOPES} onChange={setScope} />
          <Tabs label="Sort by" as="radio" value={order} options={ORDERS} onChange={setOrder} />
        </View>
      )}
      {is === 'looking' ? (
        <LongWork says="Comparing shapes" {...(soFar ? { done: soFar.done, of: soFar.of } : {})} onStop={stop} />
      ) : (
        <Words as="small" tone="faint" live>
          {is === 'stopped' && soFar
            ? `Stopped after ${soFar.done} of ${soFar.of} shapes.`
            : 'You can undo this on the plan page.'}
        </Words>
      )}
      {is === 'stopped' ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={takeUp}>Compare all shapes</Action>
        </View>
      ) : null}
      {is === 'whole' && !soFar ? (
        <Notice
          tone="rowan"
          word="Nothing to compare yet"
          text="The plan has an entry that needs a fix. Fix it on the plan page and come back."
        />
      ) : null}
      <View onLayout={onLayout} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: GAP }}>
        {possible.map((way) => (
          <View key={keyOf(way)} style={{ width: width > 0 ? width : '100%' }}>
            <WayCard
              way={way}
              taken={isTaken(way, plan)}
              of={plan}
              parked={(plan.parked ?? []).map(({ kind }) => kind)}
              onTake={() => way.plan && onTake(way.plan)}
            />
          </View>
        ))}
      </View>
      <Impossible ways={list.filter((way) => !way.possible)} />
    </>
  );
}

const keyOf = ({ shape, hookMm, fit, yarn }: Way) => `${shape} ${hookMm} ${fit} ${yarn}`;

function Impossible({ ways }: { ways: readonly Way[] }) {
  if (ways.length === 0) return null;
  return (
    <View style={{ gap: 8, paddingTop: 8 }}>
      <Words as="heading" level={2}>
        Not possible for this item
      </Words>
      {ways.map((way) => {
        const { name } = shapeDefinition(way.shape)!;
        return (
          <View key={keyOf(way)} role="group" aria-label={name}>
            <Words as="smallStrong">{name}</Words>
            <Words as="small" tone="faint">
              {way.why}
            </Words>
          </View>
        );
      })}
    </View>
  );
}
