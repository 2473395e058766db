import type { Make, MendChoice } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { Panel } from '@/ui/layout/Panel';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import type { ChangedPlan } from './useChangedWays';
import { asWritten, WaysOn } from './WaysOn';

interface Props {
  changed: ChangedPlan | null;
  onOpen: () => void;
}

/** Told when the plan was changed after this make began; nothing happens until it is asked for. */
export function PlanChanged({ changed, onOpen }: Props) {
  if (!changed) return null;
  return (
    <Notice tone="thread" word="The plan has changed since you started" text={`New: ${changed.says}.`}>
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={onOpen}>Choose how to continue</Action>
      </View>
    </Notice>
  );
}

interface PanelProps {
  id: string;
  make: Make;
  changed: ChangedPlan;
  onClose: () => void;
}

/** The same choices as for a measurement, undone like one. */
export function ChangedPanel({ id, make, changed: { plan, says, choices }, onClose }: PanelProps) {
  const happened = useEvents((state) => state.happened);
  const take = ({ id: choice, from, plan: next }: MendChoice) => {
    happened(id, { kind: 'decided', choice, from, plan: asWritten(next, make.plan), asked: plan });
    onClose();
  };
  return (
    <Panel title="The plan has changed" onClose={onClose}>
      <Words>{`New: ${says}. You can undo whatever you choose.`}</Words>
      <WaysOn choices={choices} onTake={take} />
    </Panel>
  );
}
