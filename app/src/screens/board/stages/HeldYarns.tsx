import type { FabricSpec, YarnSpec } from '@keep-snug/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Words } from '@/ui/layout/Words';
import { handNow } from '@/reading/useHand';
import { YarnPart } from './YarnPart';

/** Held together, more than so many yarns are no fabric one hook makes (ours). */
const MOST_YARNS = 4;

/** A fabric without what was measured of the yarn it was in: gauge, weight, and what the hand does with such yarn. */
function unmeasured({ gauge: _gauge, weighed: _weighed, hand: _hand, ...fabric }: Bare): Bare {
  return fabric;
}

type Bare = Omit<FabricSpec, 'yarn' | 'yarns'>;

interface Props {
  fabric: FabricSpec;
  onChange: (fabric: FabricSpec) => void;
  /** What else may be said of a yarn that is worked alone. */
  children?: ReactNode;
}

/** The yarn it is worked in, or the different ones that are held together. */
export function HeldYarns({ fabric: { yarn, yarns, ...fabric }, onChange, children }: Props) {
  const list = yarns ?? [yarn];
  const put = (next: readonly YarnSpec[]) => onChange(withYarns(fabric, next));
  const changed = (index: number, one: YarnSpec) => list.map((old, at) => (at === index ? one : old));
  const change = (index: number, one: YarnSpec) => put(changed(index, one));
  const take = (index: number, one: YarnSpec) => {
    const hand = handNow(one.category);
    onChange(withYarns({ ...unmeasured(fabric), ...(hand ? { hand } : {}) }, changed(index, one)));
  };
  const another =
    list.length < MOST_YARNS ? (
      <View style={{ flexDirection: 'row' }}>
        <Action onPress={() => put([...list, { metresPer100g: 400 }])}>Hold another yarn with it</Action>
      </View>
    ) : null;
  if (list.length === 1)
    return (
      <YarnPart yarn={list[0]!} onChange={(next) => change(0, next)} onTake={(next) => take(0, next)}>
        {another}
        {children}
      </YarnPart>
    );
  return (
    <>
      {list.map((one, index) => (
        <View key={index} role="group" aria-label={`Yarn ${index + 1}`} style={{ gap: 4 }}>
          <Words as="smallStrong">{`Yarn ${index + 1} of those held together`}</Words>
          <YarnPart yarn={one} onChange={(next) => change(index, next)} onTake={(next) => take(index, next)} />
          <View style={{ flexDirection: 'row' }}>
            <Action label={`Remove yarn ${index + 1}`} onPress={() => put(list.filter((_, at) => at !== index))}>
              Remove
            </Action>
          </View>
        </View>
      ))}
      {another}
    </>
  );
}

/** A fabric of one yarn, or of several held together; a gauge measured with others says nothing of these. */
function withYarns(fabric: Omit<FabricSpec, 'yarn' | 'yarns'>, yarns: readonly YarnSpec[]): FabricSpec {
  const [only] = yarns;
  return (yarns.length === 1 ? { ...fabric, yarn: only! } : { ...fabric, yarns }) as FabricSpec;
}
