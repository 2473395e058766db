import type { FabricSpec, YarnSpec } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { YarnPart } from './YarnPart';

/** Held together, more than so many yarns are no fabric one hook makes (ours). */
const MOST_YARNS = 4;

/** The yarn it is worked in, or the different ones that are held together. */
export function HeldYarns({
  fabric: { yarn, yarns, ...fabric },
  onChange,
}: {
  fabric: FabricSpec;
  onChange: (fabric: FabricSpec) => void;
}) {
  const list = yarns ?? [yarn];
  const put = (next: readonly YarnSpec[]) => onChange(withYarns(fabric, next));
  const change = (index: number, one: YarnSpec) => put(list.map((old, at) => (at === index ? one : old)));
  return (
    <>
      {list.map((one, index) =>
        list.length === 1 ? (
          <YarnPart key={0} yarn={one} onChange={(next) => change(0, next)} />
        ) : (
          <View key={index} role="group" aria-label={`Yarn ${index + 1}`} style={{ gap: 4 }}>
            <Words as="smallStrong">{`Yarn ${index + 1} of those held together`}</Words>
            <YarnPart yarn={one} onChange={(next) => change(index, next)} />
            <View style={{ flexDirection: 'row' }}>
              <Action label={`Remove yarn ${index + 1}`} onPress={() => put(list.filter((_, at) => at !== index))}>
                Remove
              </Action>
            </View>
          </View>
        ),
      )}
      {list.length < MOST_YARNS ? (
        <View style={{ flexDirection: 'row' }}>
          <Action onPress={() => put([...list, { metresPer100g: 400 }])}>Hold another yarn with it</Action>
        </View>
      ) : null}
    </>
  );
}

/** A fabric of one yarn, or of several held together; a gauge measured with others says nothing of these. */
function withYarns(fabric: Omit<FabricSpec, 'yarn' | 'yarns'>, yarns: readonly YarnSpec[]): FabricSpec {
  const [only] = yarns;
  return (yarns.length === 1 ? { ...fabric, yarn: only! } : { ...fabric, yarns }) as FabricSpec;
}
