import { isBlank, upTo } from '@keep-snug/core';
import { useId, useState } from 'react';
import { TextInput, View, type TextStyle } from 'react-native';
import { useFocusOnArrival, usePageTitle } from '@/ui/layout/Title';
import { useColours } from '@/theme/useTheme';
import { useType } from '@/theme/useType';
import { useWide } from '@/theme/useWide';

interface Props {
  title: string;
  onChange: (title: string) => void;
}

/** A name longer than its line says that it goes on. */
const ENDS = { textOverflow: 'ellipsis' } as unknown as TextStyle;

/** The plan's name, which is its own field: press it and type. An empty one keeps the name it had. */
export function TitleField({ title, onChange }: Props) {
  const colours = useColours();
  const [text, setText] = useState<string | null>(null);
  const shown = text ?? title;
  const wide = useWide();
  usePageTitle(title);
  const heading = useId();
  useFocusOnArrival(heading);
  const type = useType('heading', { fontSize: wide ? 20 : 17 });
  return (
    <View
      nativeID={heading}
      role="heading"
      aria-level={1}
      aria-label={title}
      style={{ flexGrow: 1, flexShrink: 1, flexBasis: 96 }}
    >
      <TextInput
        value={shown}
        onChangeText={(next) => {
          setText(next);
          if (!isBlank(next)) onChange(upTo(next.trim(), 120));
        }}
        onBlur={() => setText(null)}
        aria-label="Name of the plan"
        style={[type, { color: colours.ink, minHeight: 48, width: '100%' }, ENDS]}
      />
    </View>
  );
}
