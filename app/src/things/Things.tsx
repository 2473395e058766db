import { formatLength, formatLengthNumber, outlineOf, sizesOf, thingIfWhole } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newPlan } from '@/board/newPlan';
import { Outline } from '@/drawing/Outline';
import { Action } from '@/parts/Action';
import { Clash } from '@/parts/Clash';
import { EmptyPlace } from '@/parts/EmptyPlace';
import { Page } from '@/parts/Page';
import { useBox } from '@/parts/useBox';
import { Words } from '@/parts/Words';
import { useDeleting } from '@/state/deleting';
import { useShelf } from '@/state/library';
import { useSettings } from '@/state/settings';
import { useColours } from '@/theme/useTheme';
import { ThingEditor } from './ThingEditor';

const SHELF_HEIGHT = 220;
const GAP = 24;

/** What stands on an empty shelf, to show what will: a slab, as a phone is. */
const SAMPLE = outlineOf({ kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } })!;

/** Measured things in outline, all to one scale. */
export function Things() {
  const router = useRouter();
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const remove = useDeleting((state) => state.remove);
  const { box, onLayout } = useBox();
  const [open, setOpen] = useState<string | null>(null);
  const things = useShelf('things').flatMap(([id, held]) => {
    const { body } = held;
    const worked = thingIfWhole(body.thing);
    const outline = outlineOf(body.thing);
    return worked && outline ? [{ id, held, body, worked, outline }] : [];
  });
  const shelf = useShelf('things');
  const held = shelf.find(([id]) => id === open)?.[1];
  const opened = open && held ? { id: open, body: held.body } : null;
  const tallest = Math.max(1, ...things.map(({ outline }) => outline.height));
  const widest = Math.max(1, ...things.map(({ outline }) => outline.width));
  const place = box.width > 640 ? 220 : Math.max(120, (box.width - GAP) / 2);
  const scale = Math.min(SHELF_HEIGHT / tallest, (place - 20) / widest);
  const say = {
    length: (mm: number) => formatLength(mm, units),
    number: (mm: number) => formatLengthNumber(mm, units),
  };

  return (
    <Page
      title="Things"
      actions={
        <Action main onPress={() => router.push('/new')}>
          Measure a thing
        </Action>
      }
    >
      {things.length === 0 ? (
        <EmptyPlace
          title="The shelf is empty"
          text="Every thing you measure comes to stand here in outline, all drawn to one scale, ready for its next cover."
          action={{ name: 'Measure the first one', do: () => router.push('/new') }}
        >
          <Outline outline={SAMPLE} scale={0.8} />
        </EmptyPlace>
      ) : null}
      <View
        onLayout={onLayout}
        style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: GAP, rowGap: 28 }}
      >
        {things.map(({ id, held: one, body, worked, outline }) => (
          <View key={id} role="group" aria-label={body.name} style={{ gap: 4, width: place }}>
            <View style={{ borderBottomWidth: 6, borderColor: colours.tape, alignItems: 'flex-start', paddingLeft: 8 }}>
              <Outline outline={outline} scale={scale} />
            </View>
            <Words as="strong" level={2}>
              {body.name}
            </Words>
            <Words as="small" tone="faint" style={{ minHeight: 40 }}>
              {`${sizesOf(body.thing, say)}, ${formatLength(worked.girth.value, units)} round`}
            </Words>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
              <Action
                label={`Make a cover for ${body.name}`}
                onPress={() => router.push(`/plan/${newPlan(body.thing)}`)}
              >
                Make a cover
              </Action>
              <Action label={`Measure anew: ${body.name}`} onPress={() => setOpen(id)}>
                Measure anew
              </Action>
              <Action label={`Delete: ${body.name}`} onPress={() => remove('things', id, body.name)}>
                Delete
              </Action>
            </View>
            <Clash kind="things" id={id} held={one} />
          </View>
        ))}
      </View>
      {things.length > 1 ? (
        <Words as="small" tone="faint">
          All drawn to one scale.
        </Words>
      ) : null}
      {opened ? <ThingEditor id={opened.id} body={opened.body} onClose={() => setOpen(null)} /> : null}
    </Page>
  );
}
