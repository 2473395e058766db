import type { DocumentKind } from '@keep-snug/core/documents';
import { View } from 'react-native';
import { Action } from './Action';
import { Notice } from './Notice';
import { useLibrary, type LocalDocument } from '@/state/library';

interface Props {
  kind: DocumentKind;
  id: string;
  held: LocalDocument<unknown>;
}

/** Told when a change here came too late, or was not taken; offers both. Nothing is overwritten unasked. */
export function Clash({ kind, id, held }: Props) {
  const settle = useLibrary((state) => state.settle);
  if (held.refused)
    return (
      <Notice tone="rowan" word="Could not be saved on the server. It is still on this device" text={held.refused} />
    );
  if (held.theirs === undefined) return null;
  const gone = held.theirs === null;
  return (
    <Notice
      tone="thread"
      word={gone ? 'Deleted on another device' : 'Changed on another device'}
      text={
        gone
          ? 'You changed this here, and it was deleted elsewhere meanwhile.'
          : 'You changed this here, and it was changed elsewhere meanwhile.'
      }
    >
      <View style={{ flexDirection: 'row', gap: 16 }}>
        <Action onPress={() => settle(kind, id, 'mine')}>Keep this version</Action>
        <Action onPress={() => settle(kind, id, 'theirs')}>{gone ? 'Delete here too' : 'Use the other version'}</Action>
      </View>
    </Notice>
  );
}
