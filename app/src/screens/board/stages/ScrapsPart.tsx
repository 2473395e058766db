import { isBlank, scrapOrder, upTo, type Plan, type ScrapSpec } from '@keep-snug/core';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { NumberField } from '@/ui/fields/NumberField';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import { ScrapsLast } from '../../../ui/notices/ScrapsLast';

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
