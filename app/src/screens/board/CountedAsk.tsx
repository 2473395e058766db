import { formatLength, plural, saidCounted, unsaidCounts, type Counted, type Plan } from '@keep-snug/core';
import { View } from 'react-native';
import { useSettings } from '@/data/settings';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';

interface Props {
  plan: Plan;
  edit: (work: (plan: Plan) => Plan) => void;
}

/** Whether the plan's measures leave open how they were counted: its chance would be a guess. */
export const leavesOpen = ({ fabric }: Plan): boolean => unsaidCounts(fabric.gauge ?? {}).length > 0;

/** Asked in the chance's place, once, of measures that came in without saying how they were counted. */
export function CountedAsk({ plan, edit }: Props) {
  const units = useSettings((state) => state.units);
  const [first] = unsaidCounts(plan.fabric.gauge ?? {});
  if (!first) return null;
  const say = (counted: Counted) =>
    edit((old) => ({ ...old, fabric: { ...old.fabric, gauge: saidCounted(old.fabric.gauge ?? {}, counted) } }));
  return (
    <Notice
      tone="thread"
      word={`How were the ${plural(first.count, 'stitch', 'stitches')} counted?`}
      text={`Over ${formatLength(first.overMm ?? 0, units)}. Without it nobody can say how often the piece fits.`}
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => say('edges')}>I measured so many, edge to edge</Action>
        <Action onPress={() => say('whole')}>I counted the whole ones in that length</Action>
      </View>
    </Notice>
  );
}
