import { FIRST_FABRIC, readStart, STARTS, type Plan, type StartDefinition } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { Portrait } from '@/drawing/portrait/Portrait';
import { useIdleTurn } from '@/platform/idleQueue';
import { reckonedFor, reckonFor, useReader } from '@/reading/useWorked';
import { useColours } from '@/theme/useTheme';
import { Action } from '@/ui/actions/Action';
import { Press } from '@/ui/actions/Press';
import { RoomBar } from '@/ui/layout/RoomBar';
import { Title } from '@/ui/layout/Title';
import { useBox } from '@/ui/layout/useBox';
import { Words } from '@/ui/layout/Words';

/** "What would you like to make?": a shelf of covers, each as it often comes out. */
export function Starts() {
  const colours = useColours();
  const router = useRouter();
  const { box, onLayout } = useBox();
  const hasThings = useShelf('things').length > 0;
  const across = Math.max(2, Math.min(4, Math.floor(box.width / 190)));
  const width = Math.floor((box.width - (across - 1) * GAP) / across);
  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={{ to: '/', name: 'the bench' }}>
        <Title style={STYLES.title}>What would you like to make?</Title>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={STYLES.page}>
          <View style={{ flexDirection: 'row' }}>
            <Action onPress={() => router.push('/new')}>
              {hasThings ? 'For one of my things, or something else' : 'Something else: measure it'}
            </Action>
          </View>
          <View onLayout={onLayout} style={STYLES.shelf}>
            {box.width > 0
              ? STARTS.map((start, index) => (
                  <Card key={start.id} start={start} width={width} hex={SHELF[index % SHELF.length]!} />
                ))
              : null}
          </View>
        </View>
      </ScrollView>
    </View>
  );
}

/** Yarns that the covers on the shelf are shown in, so that they are told apart; a plan begins undyed. */
const SHELF = ['#C9A227', '#5E7F8E', '#DDD2BC', '#8C4A3F', '#6F8F5B', '#46566B', '#B98B6B'];

const inYarn = (plan: Plan, hex: string): Plan => {
  const { yarn } = plan.fabric;
  return yarn ? { ...plan, fabric: { ...plan.fabric, yarn: { ...yarn, hex } } } : plan;
};

/** One cover: its drawing, its name, and what sets it apart. */
function Card({ start, width, hex }: { start: StartDefinition; width: number; hex: string }) {
  const colours = useColours();
  const router = useRouter();
  const reader = useReader();
  const units = useSettings((state) => state.units);
  const plan = useMemo(() => inYarn(readStart(start, {}, FIRST_FABRIC, units).plan, hex), [start, units, hex]);
  const isItsTurn = useIdleTurn(reckonedFor(plan, reader) !== null);
  const worked = isItsTurn ? reckonFor(plan, reader).worked : null;
  return (
    <Press
      label={`${start.name}: ${start.says}`}
      onPress={() => router.push(`/start/${start.id}`)}
      style={{ ...STYLES.card, width, backgroundColor: colours.surface, borderColor: colours.line }}
    >
      <View style={{ height: TALL }}>
        {worked ? <Portrait plan={plan} worked={worked} width={width - 26} height={TALL} /> : null}
      </View>
      <Words as="strong">{start.name}</Words>
      <Words as="small" tone="faint">
        {start.says}
      </Words>
    </Press>
  );
}

const GAP = 12;
const TALL = 116;

const STYLES = StyleSheet.create({
  title: { fontSize: 20, flex: 1 },
  page: { width: '100%', maxWidth: 880, padding: 20, gap: 12 },
  shelf: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
  card: { justifyContent: 'flex-start', padding: 12, gap: 4, borderWidth: 1 },
});
