import type { Mended } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { Notice } from '@/parts/Notice';
import { useMakeEvents } from '@/state/events';
import { momentOf } from './moments';
import type { Progress } from './useProgress';

interface Props {
  id: string;
  progress: Progress;
  mended: Mended | null;
  onMeasure: () => void;
}

/** What the tape said and nobody decided on yet; else, at its moment, that now is a good time to measure. */
export function TapeAsks({ id, progress, mended, onMeasure }: Props) {
  const events = useMakeEvents(id);
  const [passed, setPassed] = useState<string>();
  const best = mended?.choices.find(({ recommended }) => recommended);
  if (best && best.id !== 'carry-on')
    return (
      <Notice tone="rowan" word="The tape says otherwise" text={`Best now: ${best.title.toLowerCase()}.`}>
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={onMeasure}>See what you can do</Action>
        </View>
      </Notice>
    );
  const moment = momentOf(progress, events);
  if (!moment || moment.step === passed) return null;
  return (
    <Notice tone="sea" word="A good moment for the tape" text={moment.text}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={onMeasure}>Measure now</Action>
        <Action onPress={() => setPassed(moment.step)}>Looks right</Action>
      </View>
    </Notice>
  );
}
