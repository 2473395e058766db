import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Notice } from './Notice';
import { daysOverdue, useSaved } from '@/data/saved';
import { useLine, useWaiting } from '@/data/sync';
import { documentsHere, saveEverything } from '@/data/everything';

/** Told on the bench when everything was last saved as a file more than a month ago. */
export function SaveReminder() {
  const saved = useSaved();
  const reached = useLine((state) => state.reached);
  const waiting = useWaiting();
  const [now] = useState(() => Date.now());
  const days = daysOverdue(saved, now);
  if (days === null || documentsHere().length === 0) return null;
  return (
    <Notice
      tone="thread"
      word="Time for a backup"
      text={saved.ever ? `Everything was last saved as a file ${days} days ago.` : 'Nothing was saved as a file yet.'}
      repair="Save everything as a file and keep it on another device."
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => void saveEverything({ reached, waiting })}>Save everything</Action>
        <Action onPress={saved.later}>In a week</Action>
      </View>
    </Notice>
  );
}
