import type { Hand, YarnSpec } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { useHandSources } from '@/reading/useHand';

/** The maker's hand in such yarn, how surely it is known, and what it was learnt from, one tap to each make. */
export function HandLines({ yarn }: { yarn: YarnSpec }) {
  const router = useRouter();
  const known = useHandSources(yarn);
  if (!known) return null;
  const { hand, from } = known;
  return (
    <View>
      <Words as="smallStrong">{inWords(hand)}</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, alignItems: 'center' }}>
        <Words as="small" tone="faint">
          From:
        </Words>
        {from.map(({ name, make }, index) =>
          make ? (
            <Action key={index} label={`Pattern: ${name}`} onPress={() => router.push(`/sheet/${make}?of=make`)}>
              {name}
            </Action>
          ) : (
            <Words key={index} as="small" tone="faint">
              {name}
            </Words>
          ),
        )}
      </View>
    </View>
  );
}

function inWords({ width, spread }: Hand): string {
  const off = Math.round(100 * Math.abs(width - 1));
  const than = off === 0 ? 'as wide as usual' : `${off} % ${width > 1 ? 'wider' : 'narrower'} than usual`;
  return `Your hand in such yarn: stitches ${than}, give or take ${Math.max(1, Math.round(100 * spread))} %.`;
}
