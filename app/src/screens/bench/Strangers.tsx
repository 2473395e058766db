import { unknownIn } from '@keep-snug/core/unknown';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { saveText } from '@/platform/saveText';
import { Words } from '@/ui/layout/Words';
import { useDeleting } from '@/data/deleting';
import { everyHeld, useLibrary } from '@/data/library';
import { nameOf } from '@/data/nameOf';
import type { Shelves } from '@/data/types';

/** Documents of a kind that this version does not know: each says so, and can be saved or deleted; the rest stands. */
export function Strangers() {
  const strangers = useLibrary((state) => state.strangers);
  const remove = useDeleting((state) => state.remove);
  const all = useMemo(() => everyHeld({ shelves: NONE, strangers }).filter(({ held }) => !held.gone), [strangers]);
  return all.map(({ kind, id, held }) => {
    const name = nameOf(held.body, 'An entry without a name');
    return (
      <CardBox key={id} label={name}>
        <Words as="strong">{name}</Words>
        <Words>
          {`This version of Keep Snug does not know ${unknownIn(kind, held.body)} in it. It is kept as it came: open it with the version that made it.`}
        </Words>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
          <Action
            label={`Save ${name} as a file`}
            onPress={() => saveText(JSON.stringify(held.body, null, 2), `keep-snug-${id}.json`, 'application/json')}
          >
            Save as a file
          </Action>
          <Action label={`Delete ${name}`} onPress={() => remove(kind, id, name)}>
            Delete
          </Action>
        </View>
      </CardBox>
    );
  });
}

const NONE = { plans: {}, things: {}, yarns: {}, swatches: {}, makes: {}, hours: {}, batches: {} } as Shelves;
