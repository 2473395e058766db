import type { Plan } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newBatch } from '@/data/newBatch';
import { WhenPanel } from '@/ui/when/WhenPanel';
import { startMake, useMakeOf } from '@/reading/start';
import { Action } from '@/ui/actions/Action';
import { IconAction } from '@/ui/actions/IconAction';
import { RoomBar } from '@/ui/layout/RoomBar';
import { useHistory } from '@/data/history';
import { useWide } from '@/theme/useWide';
import { copyPlan } from '@/reading/copyPlan';
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
      <IconAction label="Undo" icon="undo" disabled={!canUndo} onPress={() => undo(id)} />
      <IconAction label="Redo" icon="redo" disabled={!canRedo} onPress={() => redo(id)} />
      {wide ? <Onward id={id} plan={plan} ready={ready} /> : null}
    </RoomBar>
  );
}

/** Where a plan leads: other ways to make it, its sheet, and its making. */
export function Onward({ id, plan, ready }: Omit<Props, 'onTitle'>) {
  const router = useRouter();
  const make = useMakeOf(id);
  const [when, setWhen] = useState(false);
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, alignItems: 'center' }}>
      <Action onPress={() => router.push(`/plan/${copyPlan(plan)}`)}>Copy plan</Action>
      <Action label="Compare ways to make it" onPress={() => router.push(`/ways/${id}`)}>
        Compare
      </Action>
      <Action disabled={!ready} onPress={() => router.push(`/batch/${newBatch(plan)}`)}>
        Make several
      </Action>
      <Action disabled={!ready} label="When it is done" onPress={() => setWhen(true)}>
        When
      </Action>
      <Action disabled={!ready} onPress={() => router.push(`/sheet/${id}`)}>
        Pattern
      </Action>
      <Action main disabled={!ready} onPress={() => router.push(`/make/${make ?? startMake(id, plan)}`)}>
        {make ? 'Continue' : 'Start making'}
      </Action>
      {when ? <WhenPanel id={make ?? id} title={plan.title} onClose={() => setWhen(false)} /> : null}
    </View>
  );
}
