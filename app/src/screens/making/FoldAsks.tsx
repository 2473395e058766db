import { timesInHundred, type Make } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useMakeEvents } from '@/data/events';
import type { Progress } from '@/reading/useProgress';
import { Action } from '@/ui/actions/Action';
import { Notice } from '@/ui/notices/Notice';
import { useRefolding } from './useRefolding';

interface Props {
  id: string;
  make: Make;
  progress: Progress;
  onFold: () => void;
}

/** Before a side is joined: lay the strip round the item, and fold it where it fits. */
export function FoldAsks({ id, make, progress, onFold }: Props) {
  const folds = useRefolding(id, make, progress);
  const events = useMakeEvents(id);
  const [passed, setPassed] = useState(false);
  const decided = events.some((event) => event.kind === 'decided' && event.choice === 'refold');
  if (!folds || passed || decided) return null;
  const best = folds.places.find(({ front }) => front === folds.best)!;
  const here = folds.best === folds.now;
  return (
    <Notice
      tone="sea"
      word="Before you join: lay it round the item"
      text={
        here
          ? 'Fold it, put the item in, close the flap. Folds and flap are free until a side is joined.'
          : `Folded after ${best.front} ${folds.counted} it fits ${timesInHundred(best.chance)}. Folds and flap are free until a side is joined.`
      }
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={onFold}>Try the folds</Action>
        <Action onPress={() => setPassed(true)}>Fold as planned</Action>
      </View>
    </Notice>
  );
}
