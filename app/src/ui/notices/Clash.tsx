import { differencesOf } from '@keep-snug/core/differences';
import type { DocumentKind } from '@keep-snug/core/documents';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useDeleting } from '@/data/deleting';
import { useLibrary } from '@/data/library';
import { useSettings } from '@/data/settings';
import { Action } from '@/ui/actions/Action';
import { Notice } from './Notice';
import { Words } from '@/ui/layout/Words';
import { nameOf } from '@/data/nameOf';
import type { LocalDocument } from '@/data/types';

interface Props {
  kind: DocumentKind;
  id: string;
  held: LocalDocument<unknown>;
}

/** Told when a change here came too late, or was not taken; offers both. Nothing is overwritten unasked. */
export function Clash({ kind, id, held }: Props) {
  const settle = useLibrary((state) => state.settle);
  const takeTheirs = useDeleting((state) => state.takeTheirs);
  if (held.refused)
    return (
      <Notice tone="rowan" word="Could not be saved on the server. It is still on this device" text={held.refused} />
    );
  if (held.theirs === undefined) return null;
  const { word, text, mine, theirs } = wordsOf(held);
  return (
    <Notice tone="thread" word={word} text={text}>
      {held.theirs && !held.goneHere ? <Beside mine={held.body} theirs={held.theirs.body} /> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => settle(kind, id, 'mine')}>{mine}</Action>
        <Action onPress={() => takeTheirs(kind, id, nameOf(held.body))}>{theirs}</Action>
      </View>
    </Notice>
  );
}

function wordsOf({ theirs, goneHere }: LocalDocument<unknown>) {
  if (goneHere)
    return {
      word: 'Deleted here, changed on another device',
      text: 'You deleted this here, and it was changed elsewhere meanwhile.',
      mine: 'Delete it all the same',
      theirs: 'Keep it as it is there',
    };
  if (theirs === null)
    return {
      word: 'Deleted on another device',
      text: 'You changed this here, and it was deleted elsewhere meanwhile.',
      mine: 'Keep this version',
      theirs: 'Delete here too',
    };
  return {
    word: 'Changed on another device',
    text: 'You changed this here, and it was changed elsewhere meanwhile.',
    mine: 'Keep this version',
    theirs: 'Use the other version',
  };
}

/** What differs, here and there side by side. */
function Beside({ mine, theirs }: { mine: unknown; theirs: unknown }) {
  const units = useSettings((state) => state.units);
  const all = useMemo(() => differencesOf(mine, theirs, units), [mine, theirs, units]);
  return (
    <View role="table" aria-label="What differs" style={{ gap: 6, maxWidth: 640 }}>
      {all.map(({ path, where, mine: here, theirs: there }) => (
        <View key={path} role="row">
          <Words as="smallStrong">{where}</Words>
          <View style={{ flexDirection: 'row', columnGap: 16 }}>
            <Words as="small" style={{ flex: 1 }}>{`Here: ${here}`}</Words>
            <Words as="small" style={{ flex: 1 }}>{`There: ${there}`}</Words>
          </View>
        </View>
      ))}
    </View>
  );
}
