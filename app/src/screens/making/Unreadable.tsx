import type { Make } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { reckonFor, useReader } from '@/reading/useWorked';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import type { LocalDocument } from '@/data/types';

interface Props {
  id: string;
  held: LocalDocument<Make>;
}

/** A make whose plan cannot be calculated: it is repaired where plans are, and taken over whole. */
export function Unreadable({ id, held }: Props) {
  const router = useRouter();
  const reader = useReader();
  const { planId, batch } = held.body;
  const plan = useLibrary((state) => state.shelves.plans[planId]?.body);
  const change = useLibrary((state) => state.change);
  const repaired = plan && reckonFor(plan, reader).worked ? plan : undefined;
  return (
    <View style={{ padding: 24, gap: 12 }}>
      <Words as="heading" level={1}>
        This project’s plan has an error
      </Words>
      {batch ? (
        <Words>Open the batch and fix the plan there, then start the piece again.</Words>
      ) : (
        <Words>Open the plan, fix the marked entry, then choose “Use the new plan” here.</Words>
      )}
      {repaired ? (
        <Action main onPress={() => change('makes', id, { ...held.body, plan: repaired, title: repaired.title })}>
          Use the new plan
        </Action>
      ) : null}
      <Action main={!repaired} onPress={() => router.navigate(batch ? `/batch/${batch.batch}` : `/plan/${planId}`)}>
        {batch ? 'Open batch' : 'Open plan'}
      </Action>
    </View>
  );
}
