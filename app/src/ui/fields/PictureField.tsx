import { useState } from 'react';
import { Image, View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { chooseFile } from '@/platform/chooseFile';
import { Words } from '@/ui/layout/Words';
import { smallPicture } from './smallPicture';

interface Props {
  picture: string | undefined;
  onChange: (picture: string | undefined) => void;
}

/** A picture of the finished piece, chosen or taken, kept small. */
export function PictureField({ picture, onChange }: Props) {
  const [problem, setProblem] = useState('');
  const choose = async () => {
    const file = await chooseFile('image/*');
    if (!file) return;
    try {
      onChange(await smallPicture(file));
      setProblem('');
    } catch {
      setProblem(`“${file.name}” cannot be opened as a picture here. Choose a JPEG or PNG.`);
    }
  };
  return (
    <View style={{ gap: 6 }}>
      <Words as="smallStrong">A picture of it</Words>
      {picture ? <FinishedPicture picture={picture} /> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action onPress={() => void choose()}>{picture ? 'Choose another' : 'Choose a picture'}</Action>
        {picture ? <Action onPress={() => onChange(undefined)}>Remove it</Action> : null}
      </View>
      {problem ? (
        <Words as="small" tone="rowan" live>
          {problem}
        </Words>
      ) : null}
    </View>
  );
}

const SHOWN = { width: 220, height: 165 };

export const FinishedPicture = ({ picture }: { picture: string }) => (
  <Image source={{ uri: picture }} style={SHOWN} resizeMode="contain" accessibilityLabel="The finished piece" />
);
