import {
  isBlank,
  PlanProblem,
  roundedAmount,
  scrapOrder,
  scrapsTold,
  sectionWord,
  upTo,
  type KeptEvent,
  type Plan,
  type ScrapEnd,
  type ScrapSpec,
  type ScrapsTold,
  timesInHundred,
} from '@keep-snug/core';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Action } from '@/parts/Action';
import { FieldRow } from '@/parts/FieldRow';
import { NumberField } from '@/parts/NumberField';
import { ShareBar } from '@/parts/ShareBar';
import { TextField } from '@/parts/TextField';
import { Words } from '@/parts/Words';

interface Props {
  plan: Plan;
  onChange: (scraps: readonly ScrapSpec[]) => void;
}

const MOST = 40;

/** Small amounts joined one after the other: in which order, whether they last, and where each runs out. */
export function ScrapsPart({ plan, onChange }: Props) {
  const scraps = plan.fabric.scraps ?? [];
  const put = (index: number, next: ScrapSpec) => onChange(scraps.map((old, at) => (at === index ? next : old)));
  const move = (index: number) => {
    const next = [...scraps];
    next.splice(index - 1, 2, scraps[index]!, scraps[index - 1]!);
    onChange(next);
  };
  const ordered = scrapOrder(scraps);
  return (
    <View role="group" aria-label="Scraps" style={{ gap: 4 }}>
      {scraps.length > 0 ? <Words as="smallStrong">Scraps, in the order they are worked</Words> : null}
      {scraps.map((scrap, index) => (
        <FieldRow key={`${index} of ${scraps.length}`}>
          <TextField
            label={`Scrap ${index + 1}`}
            value={scrap.name}
            onChange={(name) => put(index, { ...scrap, name: isBlank(name) ? 'scrap' : upTo(name, 60) })}
          />
          <NumberField
            label={`Grams of scrap ${index + 1}`}
            value={scrap.grams}
            min={0.1}
            max={10_000}
            unit="g"
            onChange={(grams) => put(index, { ...scrap, grams })}
          />
          <View style={{ flexDirection: 'row', columnGap: 8 }}>
            {index > 0 ? (
              <Action label={`Scrap ${index + 1} earlier`} onPress={() => move(index)}>
                Earlier
              </Action>
            ) : null}
            <Action
              label={`Remove scrap ${index + 1}`}
              onPress={() => onChange(scraps.filter((_, at) => at !== index))}
            >
              Remove
            </Action>
          </View>
        </FieldRow>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        {scraps.length < MOST ? (
          <Action onPress={() => onChange([...scraps, { name: `scrap ${scraps.length + 1}`, grams: 20 }])}>
            {scraps.length === 0 ? 'Make it from scraps' : 'Add a scrap'}
          </Action>
        ) : null}
        {ordered.some((one, index) => one !== scraps[index]) ? (
          <Action onPress={() => onChange(ordered)}>Largest first</Action>
        ) : null}
      </View>
      {scraps.length > 0 ? <ScrapsLast plan={plan} /> : null}
    </View>
  );
}

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

function endText({ name, runsOut, over, grams }: ScrapEnd): string {
  if (!runsOut)
    return over >= grams
      ? `${name}: is not needed.`
      : `${name}: reaches the end, about ${roundedAmount(over)} g are left over.`;
  const { kind, row, stitch, sd, section } = runsOut;
  return `${name}: runs out in ${kind} ${row} (${sectionWord(section)}), near stitch ${stitch}, give or take ${sd} stitches.`;
}

function toldOrNot(plan: Plan, events?: readonly KeptEvent[]): ScrapsTold | null {
  try {
    return scrapsTold({ plan, scraps: plan.fabric.scraps ?? [], ...(events ? { events } : {}) });
  } catch (error) {
    if (error instanceof PlanProblem) return null;
    throw error;
  }
}
