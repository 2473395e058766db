import type { Figure } from '@keep-snug/core';
import { View } from 'react-native';
import { Divider } from 'react-native-paper';
import { useWorkingsTrail } from '@/data/workingsTrail';
import { useSettings } from '@/data/settings';
import { useColours } from '@/theme/useTheme';
import { figureText, KIND_WORDS } from './figureText';
import { Press } from '@/ui/actions/Press';
import { Words } from '@/ui/layout/Words';

interface Props {
  name: string;
  figure: Figure;
  /** Written in place of the plain value. */
  text?: string;
}

/** A figure that answers "why?" when pressed. */
export function FigureLine({ name, figure, text }: Props) {
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const ask = useWorkingsTrail((state) => state.ask);
  const shown = text ?? figureText(figure, units);
  const estimate = figure.kind === 'prior';
  return (
    <Press onPress={() => ask(name, figure)} label={`${name}: ${shown}${estimate ? ', estimate' : ''}. Workings`}>
      <View
        style={{
          flexDirection: 'row',
          flexWrap: 'wrap',
          justifyContent: 'space-between',
          columnGap: 12,
          paddingVertical: 6,
        }}
      >
        <Words tone="faint">{name}</Words>
        <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline', marginLeft: 'auto', maxWidth: '100%' }}>
          {estimate ? (
            <Words as="small" tone="thread">
              {KIND_WORDS.prior.word}
            </Words>
          ) : null}
          <Words
            as="strong"
            style={{
              flexShrink: 1,
              textDecorationLine: 'underline',
              textDecorationStyle: 'dotted',
              textDecorationColor: colours.sea,
            }}
          >
            {shown}
          </Words>
        </View>
      </View>
      <Divider style={{ backgroundColor: colours.line }} />
    </Press>
  );
}
