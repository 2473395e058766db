import { View } from 'react-native';
import { useMemo } from 'react';
import {
  attempted,
  roundedAmount,
  scrapsTold,
  sectionWord,
  type KeptEvent,
  type Plan,
  type ScrapEnd,
  type ScrapsTold,
  timesInHundred,
} from '@keep-snug/core';
import { ShareBar } from '@/ui/lists/ShareBar';
import { Words } from '@/ui/layout/Words';

/** Whether the scraps of a plan last, and where each runs out; anew from what was weighed. */
export function ScrapsLast({ plan, events }: { plan: Plan; events?: readonly KeptEvent[] }) {
  const told = useMemo(() => toldOrNot(plan, events), [plan, events]);
  if (!told) return null;
  const { scraps, needs, has, lasts } = told;
  return (
    <View style={{ gap: 4 }}>
      <Words as="smallStrong" tone={lasts > 0.9 ? 'lichen' : lasts < 0.5 ? 'rowan' : 'thread'} live>
        {`Together they last ${timesInHundred(lasts)}: ${roundedAmount(has)} g are there, about ${roundedAmount(needs.value)} g (± ${roundedAmount(needs.sd)}) are needed.`}
      </Words>
      <ShareBar share={lasts} />
      {scraps.map((scrap, index) => (
        <Words key={`${index} ${scrap.name}`} as="small">
          {endText(scrap)}
        </Words>
      ))}
      <Words as="small" tone="faint">
        The largest first: where it runs out shows how far the others reach. Weigh what is left of the one on the hook
        and these places are calculated again.
      </Words>
    </View>
  );
}

const toldOrNot = (plan: Plan, events?: readonly KeptEvent[]): ScrapsTold | undefined =>
  attempted(() => scrapsTold({ plan, scraps: plan.fabric.scraps ?? [], ...(events ? { events } : {}) }));

function endText({ name, runsOut, over, grams }: ScrapEnd): string {
  if (!runsOut)
    return over >= grams
      ? `${name}: is not needed.`
      : `${name}: reaches the end, about ${roundedAmount(over)} g are left over.`;
  const { kind, row, stitch, sd, section } = runsOut;
  return `${name}: runs out in ${kind} ${row} (${sectionWord(section)}), near stitch ${stitch}, give or take ${sd} stitches.`;
}
