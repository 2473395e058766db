import type { Plan } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { startMake, useMakeOf } from '@/making/start';
import { Action } from '@/parts/Action';
import { Icon, type IconName } from '@/parts/Icon';
import { Press } from '@/parts/Press';
import { RoomBar } from '@/parts/RoomBar';
import { useHistory } from '@/state/history';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { copyPlan } from './copyPlan';
import { TitleField } from './TitleField';

interface Props {
  id: string;
  plan: Plan;
  ready: boolean;
  onTitle: (title: string) => void;
}

/** The plan's name, a step back and on again, and where it leads. */
export function BoardBar({ id, plan, ready, onTitle }: Props) {
  const wide = useWide();
  const canUndo = useHistory((state) => (state.byPlan[id]?.past.length ?? 0) > 0);
  const canRedo = useHistory((state) => (state.byPlan[id]?.future.length ?? 0) > 0);
  const { undo, redo } = useHistory.getState();
  return (
    <RoomBar back={{ to: '/', name: 'the bench' }}>
      <TitleField title={plan.title} onChange={onTitle} />
      <Step label="Undo" icon="undo" can={canUndo} onPress={() => undo(id)} />
      <Step label="Redo" icon="redo" can={canRedo} onPress={() => redo(id)} />
      {wide ? <Onward id={id} plan={plan} ready={ready} /> : null}
    </RoomBar>
  );
}

function Step({ label, icon, can, onPress }: { label: string; icon: IconName; can: boolean; onPress: () => void }) {
  const colours = useColours();
  return (
    <Press label={label} disabled={!can} onPress={onPress} style={{ width: 44, alignItems: 'center' }}>
      <Icon name={icon} colour={colours.sea} />
    </Press>
  );
}

/** Where a plan leads: other ways to make it, its sheet, and its making. */
export function Onward({ id, plan, ready }: Omit<Props, 'onTitle'>) {
  const router = useRouter();
  const make = useMakeOf(id);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, alignItems: 'center' }}>
      <Action label="Copy plan" onPress={() => router.push(`/plan/${copyPlan(plan)}`)}>
        Copy
      </Action>
      <Action label="Ways to make it" onPress={() => router.push(`/ways/${id}`)}>
        Ways
      </Action>
      <Action disabled={!ready} onPress={() => router.push(`/sheet/${id}`)}>
        Sheet
      </Action>
      <Action main disabled={!ready} onPress={() => router.push(`/make/${make ?? startMake(id, plan)}`)}>
        {make ? 'Go on making' : 'Start making'}
      </Action>
    </View>
  );
}
