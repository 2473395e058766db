import { isBlank, upTo, type YarnSpec } from '@keep-snug/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { CardBox } from '@/ui/layout/CardBox';
import { SubmitProvider } from '@/ui/fields/submit';
import { Words } from '@/ui/layout/Words';
import { useLibrary } from '@/data/library';
import { isSized, YarnFields } from '@/ui/fields/YarnFields';

/** A yarn that is being put into the box: it is there once it has a name and is known to be so thick. */
export function NewYarn({ onDone }: { onDone: () => void }) {
  const [yarn, setYarn] = useState<YarnSpec>({});
  const [tried, setTried] = useState(false);
  const nameless = isBlank(yarn.name ?? '');
  const save = () => {
    setTried(true);
    if (nameless || !isSized(yarn)) return;
    const name = upTo(yarn.name!.trim(), 120);
    useLibrary.getState().add('yarns', { name, yarn: { ...yarn, name } });
    onDone();
  };
  return (
    <CardBox label="New yarn">
      <Words as="heading" level={2}>
        New yarn
      </Words>
      <SubmitProvider value={save}>
        <YarnFields
          yarn={yarn}
          onChange={setYarn}
          nameError={tried && nameless ? 'No name yet. Type one, such as oat cotton.' : undefined}
          thicknessError={
            tried && !isSized(yarn) ? 'How thick is it? Choose its weight, or type its metres or wraps.' : undefined
          }
        />
      </SubmitProvider>
      <View style={{ flexDirection: 'row', columnGap: 16 }}>
        <Action main onPress={save}>
          Save yarn
        </Action>
        <Action onPress={onDone}>Cancel</Action>
      </View>
    </CardBox>
  );
}
