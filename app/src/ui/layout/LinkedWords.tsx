import { linksIn } from '@keep-snug/core/techniques';
import { useMemo, type ComponentProps } from 'react';
import { Text, type TextStyle } from 'react-native';
import { Words } from './Words';
import { useFocusRing } from '@/ui/actions/useFocusRing';
import { useSettings } from '@/data/settings';
import { useTechniqueTrail } from '@/data/techniqueTrail';
import { useColours } from '@/theme/useTheme';

type Props = Omit<ComponentProps<typeof Words>, 'children'> & {
  text: string;
  /** Techniques this text leads to nothing of: that which is open. */
  except?: string;
};

/** A text whose craft terms can be opened where they stand: the first time each comes. */
export function LinkedWords({ text, except, ...words }: Props) {
  const terms = useSettings((state) => state.terms);
  const parts = useMemo(() => firstOfEach(linksIn(text, terms), except), [text, terms, except]);
  return (
    <Words {...words}>
      {parts.map(({ text: part, technique }, index) =>
        technique ? <Term key={index} id={technique} text={part} /> : part,
      )}
    </Words>
  );
}

function firstOfEach(parts: ReturnType<typeof linksIn>, except?: string): ReturnType<typeof linksIn> {
  const seen = new Set(except ? [except] : []);
  return parts.map(({ text, technique }) => {
    if (!technique || seen.has(technique)) return { text };
    seen.add(technique);
    return { text, technique };
  });
}

/** A word that opens how it is done. */
function Term({ id, text }: { id: string; text: string }) {
  const colours = useColours();
  const show = useTechniqueTrail((state) => state.show);
  const { ring, onFocus, onBlur } = useFocusRing();
  const onKeyDown = (event: { key: string; preventDefault: () => void; stopPropagation: () => void }) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    // the room's own keys are not meant
    event.preventDefault();
    event.stopPropagation();
    show(id);
  };
  return (
    <Text
      {...{ onKeyDown, tabIndex: 0, onFocus, onBlur, dataSet: { term: id } }}
      role="button"
      aria-label={`${text}: how it is done`}
      onPress={() => show(id)}
      style={
        {
          textDecorationLine: 'underline',
          textDecorationStyle: 'dotted',
          textDecorationColor: colours.sea,
          textUnderlineOffset: 3,
          cursor: 'pointer',
          outlineStyle: 'solid',
          outlineColor: colours.sea,
          outlineWidth: ring ? 2 : 0,
        } as TextStyle
      }
    >
      {text}
    </Text>
  );
}
