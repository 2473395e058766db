import { formatNumber, sameCountsOn, workFabric, type FabricSpec, densityWord } from '@keep-snug/core';
import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';

/** Half a millimetre and a whole one either way. */
const STEPS = [-1, -0.5, 0.5, 1];

/** A school of its own: the same counts on another hook, how much larger they come out and how much looser. */
export function OtherHooks({ fabric }: { fabric: FabricSpec }) {
  const worked = workFabric(fabric);
  const others = STEPS.map((step) => fabric.hookMm + step).filter((mm) => mm >= 1);
  return (
    <View role="group" aria-label="The same counts on another hook">
      <Words as="smallStrong">The same counts on another hook</Words>
      {others.map((mm) => {
        const { scale, cover } = sameCountsOn(fabric, worked, mm);
        if (!Number.isFinite(scale)) return null;
        const share = Math.round(100 * (scale - 1));
        const size =
          share === 0 ? 'as large' : `${Math.abs(share)} % ${share > 0 ? 'larger, looser' : 'smaller, firmer'}`;
        return (
          <Words key={mm} as="small" tone="faint">
            {`${formatNumber(mm, 2)} mm: ${size}${becomes(worked.cover.value, cover)}`}
          </Words>
        );
      })}
    </View>
  );
}

/** What the fabric becomes where that is another word: dense, normal or open. */
function becomes(from: number, to: number): string {
  if (!Number.isFinite(to) || densityWord({ value: from }) === densityWord({ value: to })) return '';
  return `; ${densityWord({ value: to })}`;
}
