import {
  attempted,
  fabricMade,
  finishOf,
  handFrom,
  planFollowed,
  reckon,
  sizesMade,
  yarnOf,
  type Hand,
  type Make,
} from '@keep-snug/core';
import { View } from 'react-native';
import { Words } from '@/ui/layout/Words';
import { useMakeEvents } from '@/data/events';
import { useHand } from '@/reading/useHand';
import { SizesBeside } from '@/ui/lists/SizesBeside';

/** What a finished make taught: planned against made to one scale, and what the next plan does with it. */
export function Learnt({ id, make }: { id: string; make: Make }) {
  const events = useMakeEvents(id);
  const hand = useHand(yarnOf(make.plan.fabric));
  const finish = finishOf(events);
  const sizes = sizesMade(reckon(planFollowed(make.plan, events)), events);
  const own = ownHand(make, events);
  return (
    <View style={{ gap: 8 }}>
      <SizesBeside sizes={sizes} />
      <Words>
        {own ? `In this one your stitches came out ${share(own.width)}.` : 'Nothing was measured this time.'}
      </Words>
      <Words>
        {hand
          ? `Over ${hand.makes === 1 ? 'one swatch or make' : `${hand.makes} swatches and makes`} in such yarn they are ${share(hand.width)}. The next plan without a swatch uses this.`
          : 'Measure it next time: width and height teach the next plan your hand.'}
      </Words>
      {finish?.fits !== undefined && finish.fits !== 'right' && finish.fits !== true ? (
        <Words tone="thread">
          It did not sit as it was meant to: that is kept with it, for when you make it again.
        </Words>
      ) : null}
    </View>
  );
}

function ownHand(make: Make, events: Parameters<typeof fabricMade>[1]): Hand | undefined {
  const fabric = attempted(() => fabricMade(make.plan, events));
  return fabric && handFrom([fabric]);
}

/** Less than this is what any two makes differ by. */
const ALIKE = 0.005;

function share(ratio: number): string {
  if (Math.abs(ratio - 1) < ALIKE) return 'as wide as such yarn on such a hook usually gives';
  return `${Math.round(100 * Math.abs(ratio - 1))} % ${ratio > 1 ? 'wider' : 'narrower'} than such yarn on such a hook usually gives`;
}
