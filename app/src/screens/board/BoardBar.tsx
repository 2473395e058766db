import type { Plan } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newBatch } from '@/data/newBatch';
import { WhenPanel } from '@/ui/when/WhenPanel';
import { startMake, useMakeOf } from '@/reading/start';
import { Action } from '@/ui/actions/Action';
import { IconAction } from '@/ui/actions/IconAction';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { RoomBar } from '@/ui/layout/RoomBar';
import { useHistory } from '@/data/history';
import { useNarrow, useWide } from '@/theme/useWide';
import { copyPlan } from '@/reading/copyPlan';
import { TitleField } from './TitleField';

interface Props {
  id: string;
  plan: Plan;
  ready: boolean;
  onTitle: (title: string) => void;
}

/** The plan's name, a step back and on again, and where else it leads: in words where there is room, else in a menu. */
export function BoardBar({ id, plan, ready, onTitle }: Props) {
  const wide = useWide();
  const narrow = useNarrow('bar');
  const oneWord = useNarrow('word');
  const router = useRouter();
  const canUndo = useHistory((state) => (state.byPlan[id]?.past.length ?? 0) > 0);
  const canRedo = useHistory((state) => (state.byPlan[id]?.future.length ?? 0) > 0);
  const { undo, redo } = useHistory.getState();
  const [when, setWhen] = useState(false);
  const make = useMakeOf(id);
  const others = useOthers({ id, plan, ready, onWhen: () => setWhen(true) });
  return (
    <RoomBar back={{ to: '/', name: 'the bench' }}>
      <TitleField title={plan.title} onChange={onTitle} />
      <IconAction label="Undo" icon="undo" disabled={!canUndo} onPress={() => undo(id)} />
      {narrow ? null : <IconAction label="Redo" icon="redo" disabled={!canRedo} onPress={() => redo(id)} />}
      {wide ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, alignItems: 'center' }}>
          {others.map(({ name, short = name, able, do: go }) => (
            <Action key={name} label={name} disabled={!able} onPress={go}>
              {short}
            </Action>
          ))}
          <Onward id={id} plan={plan} ready={ready} />
        </View>
      ) : (
        <MoreMenu
          of={plan.title}
          entries={[
            ...(narrow && canRedo ? [{ name: 'Redo', do: () => redo(id) }] : []),
            ...(oneWord && ready ? [{ name: 'Pattern', do: () => router.push(`/sheet/${id}`) }] : []),
            ...others.filter(({ able }) => able),
          ]}
        />
      )}
      {when ? <WhenPanel id={make ?? id} title={plan.title} onClose={() => setWhen(false)} /> : null}
    </RoomBar>
  );
}

/** Somewhere a plan leads besides its pattern and its making. */
interface Other {
  name: string;
  /** In a bar, where its place says the rest. */
  short?: string;
  able: boolean;
  do: () => void;
}

function useOthers({ plan, id, ready, onWhen }: Omit<Props, 'onTitle'> & { onWhen: () => void }): Other[] {
  const router = useRouter();
  return [
    { name: 'Copy plan', able: true, do: () => router.push(`/plan/${copyPlan(plan)}`) },
    { name: 'Compare ways to make it', short: 'Compare', able: true, do: () => router.push(`/ways/${id}`) },
    { name: 'Make several', able: ready, do: () => router.push(`/batch/${newBatch(plan)}`) },
    { name: 'When it is done', short: 'When', able: ready, do: onWhen },
  ];
}

/** What a plan is for: its pattern, and its making. */
export function Onward({ id, plan, ready }: Omit<Props, 'onTitle'>) {
  const router = useRouter();
  const make = useMakeOf(id);
  const oneWord = useNarrow('word');
  return (
    <>
      {oneWord ? null : (
        <Action disabled={!ready} onPress={() => router.push(`/sheet/${id}`)}>
          Pattern
        </Action>
      )}
      <Action main disabled={!ready} onPress={() => router.push(`/make/${make ?? startMake(id, plan)}`)}>
        {make ? 'Continue' : 'Start making'}
      </Action>
    </>
  );
}
