import { proposalsFor } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import type { StageProps } from './definition';

/** What usually goes with the item and with what carries it, one press away. */
export function Proposals({ plan, edit }: Pick<StageProps, 'plan' | 'edit'>) {
  return proposalsFor(plan).map(({ id, name, because, plan: next }) => (
    <Notice key={id} tone="sea" word={`Goes with it: ${name.toLowerCase()}`} text={because}>
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => edit(() => next)}>{`Use “${name}”`}</Action>
      </View>
    </Notice>
  ));
}
