import type { Mended } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { useMakeEvents } from '@/data/events';
import { momentOf, type Moment } from './moments';
import type { Progress } from '@/reading/useProgress';

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
  const [later, setLater] = useState<Moment>();
  const best = mended?.choices.find(({ recommended }) => recommended);
  if (best && best.id !== 'carry-on')
    return (
      <Notice tone="rowan" word="The tape says otherwise" text={`Best now: ${best.title.toLowerCase()}.`}>
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={onMeasure}>See what you can do</Action>
        </View>
      </Notice>
    );
  const here = momentOf(progress, events);
  const last = progress.state.last?.step;
  // put off, it is asked again after the next row
  const moment = here && here.step !== passed ? here : later && later.step !== last ? later : null;
  if (!moment) return null;
  const answer = (next: Moment | undefined) => {
    setPassed(moment.step);
    setLater(next);
  };
  return (
    <Notice tone="sea" word="A good moment for the tape" text={moment.text}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => (setLater(undefined), onMeasure())}>Measure now</Action>
        <Action onPress={() => answer(undefined)}>Looks right</Action>
        <Action onPress={() => answer(last ? { ...moment, step: last } : undefined)}>Later</Action>
      </View>
    </Notice>
  );
}
