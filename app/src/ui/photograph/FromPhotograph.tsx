import { formatLength, thingDefinition, type ThingDraft } from '@keep-snug/core';
import type { Told } from '@keep-snug/core/photograph';
import { lazy, Suspense, useState } from 'react';
import type { Path, PathValue } from 'react-hook-form';
import { View } from 'react-native';
import type { Target } from './PhotoRoom';
import { Action } from '@/ui/actions/Action';
import { useSettings } from '@/data/settings';
import { useThingDraft } from '@/ui/fields/ThingForm';

const PhotoRoom = lazy(() => import('./PhotoRoom').then(({ PhotoRoom: room }) => ({ default: room })));

/** The lines that a picture may fill: each measure of the thing, of its list and of what it holds. */
export function targetsOf(draft: ThingDraft, at = '', of = ''): Target[] {
  const { measures, list, name } = thingDefinition(draft.kind)!;
  const line = (where: string, key: string) => `${where}texts.${key}`;
  const said = (label: string, whose: string) => [whose, label].filter(Boolean).join(': ');
  return [
    ...measures.map(({ key, label }) => ({ id: line(at, key), name: said(label, of) })),
    ...draft.entries.flatMap(({ texts }, index) =>
      (list?.measures ?? []).map(({ key, label }) => ({
        id: line(`${at}entries.${index}.`, key),
        name: said(label, said(texts.name || `${index + 1}`, of)),
      })),
    ),
    ...draft.members.flatMap((member, index) =>
      targetsOf(member, `${at}members.${index}.`, member.texts.name || `${name} ${index + 1}`),
    ),
  ];
}

/** Measures that are filled from a picture of the item. */
export function FromPhotograph() {
  const { form, draft, setText } = useThingDraft();
  const units = useSettings((state) => state.units);
  const [open, setOpen] = useState(false);
  const put = (line: string, value: unknown) =>
    form.setValue(line as Path<ThingDraft>, value as PathValue<ThingDraft, Path<ThingDraft>>);
  const use = (target: string, { mm, sd }: Told) => {
    put(target.replace('texts.', 'sds.'), Math.round(sd * 100) / 100);
    put(target.replace('texts.', 'ways.'), 'photograph');
    setText(target, formatLength(Math.round(mm * 10) / 10, units));
  };
  return (
    <View style={{ flexDirection: 'row', marginLeft: -4 }}>
      <Action onPress={() => setOpen(true)}>Measure from a photograph</Action>
      {open ? (
        <Suspense fallback={null}>
          <PhotoRoom targets={targetsOf(draft)} onUse={use} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </View>
  );
}
