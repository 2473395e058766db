import {
  formatLength,
  formatLengthNumber,
  outlineOf,
  sizesOf,
  thingIfWhole,
  THINGS,
  type ThingSpec,
} from '@keep-snug/core';
import type { ThingRecord } from '@keep-snug/core/documents';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { newPlan } from '@/reading/newPlan';
import { Outline } from '@/drawing/Outline';
import { Action } from '@/ui/actions/Action';
import { Clash } from '@/ui/notices/Clash';
import { EmptyPlace } from '@/ui/notices/EmptyPlace';
import { ListTools } from '@/ui/lists/ListTools';
import { MoreMenu } from '@/ui/actions/MoreMenu';
import { ListPage, PAGE, type Item } from '@/ui/layout/Page';
import { Press } from '@/ui/actions/Press';
import { useFinding } from '@/ui/lists/useFinding';
import { Words } from '@/ui/layout/Words';
import { useDeleting } from '@/data/deleting';
import { useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useUsed } from '@/data/used';
import { useColours } from '@/theme/useTheme';
import { useWide } from '@/theme/useWide';
import { ThingEditor } from './ThingEditor';
import type { LocalDocument } from '@/data/types';

const SHELF_HEIGHT = 200;
const GAP = 24;
/** A place on the shelf is at least so wide, two always stand beside each other, px. */
const PLACE = 200;

/** What stands on an empty shelf, to show what will: a slab, as a phone is. */
const SAMPLE = outlineOf({ kind: 'slab', width: { mm: 78 }, height: { mm: 164 }, depth: { mm: 14 } })!;

interface Standing {
  id: string;
  name: string;
  kind: string;
  held: LocalDocument<ThingRecord>;
  girth: number;
  outline: NonNullable<ReturnType<typeof outlineOf>>;
}

/** Measured things that can be drawn, with what they are found by. */
function standing(shelf: readonly [string, LocalDocument<ThingRecord>][]): Standing[] {
  return shelf.flatMap(([id, held]) => {
    const { thing, name } = held.body;
    const worked = thingIfWhole(thing);
    const outline = outlineOf(thing);
    return worked && outline ? [{ id, name, kind: thing.kind, held, girth: worked.girth.value, outline }] : [];
  });
}

/** Measured things in outline, all to one scale. */
export function Things() {
  const router = useRouter();
  const [open, setOpen] = useState<string | null>(null);
  const shelf = useShelf('things');
  const things = standing(shelf);
  const finding = useFinding(things);
  const held = shelf.find(([id]) => id === open)?.[1];
  const tallest = Math.max(1, ...things.map(({ outline }) => outline.height));
  const widest = Math.max(1, ...things.map(({ outline }) => outline.width));
  const width = useShelfWidth();
  const inARow = Math.max(2, Math.floor((width + GAP) / (PLACE + GAP)));
  const place = (width - GAP * (inARow - 1)) / inARow;
  const scale = Math.min(SHELF_HEIGHT / tallest, (place - 20) / widest);
  const start = () => router.push('/new');
  const kinds = THINGS.filter(({ id }) => things.some(({ kind }) => kind === id));

  return (
    <>
      <ListPage
        title="Things"
        says="The items you have measured, drawn to the same scale."
        main={{ name: 'Measure an item', do: start }}
        over={
          <View style={{ gap: 20 }}>
            {shelf.length === 0 ? (
              <EmptyPlace
                title="No items yet"
                text="Items you measure are saved here, drawn to the same scale."
                action={{ name: 'Measure the first one', do: start }}
              >
                <Outline outline={SAMPLE} scale={0.8} />
              </EmptyPlace>
            ) : null}
            <ToStitches />
            <ListTools what="items" finding={finding} kinds={kinds} />
          </View>
        }
        items={rows(finding.found, inARow).map((row): Item => ({
          key: row[0]!.id,
          draw: () => (
            <View style={STYLES.row}>
              {row.map((thing) => (
                <Thing key={thing.id} {...thing} width={place} scale={scale} onEdit={() => setOpen(thing.id)} />
              ))}
            </View>
          ),
        }))}
      />
      {open && held ? <ThingEditor id={open} held={held} onClose={() => setOpen(null)} /> : null}
    </>
  );
}

/** Beside what is covered, how it is worked. */
function ToStitches() {
  const router = useRouter();
  return (
    <View style={{ flexDirection: 'row' }}>
      <Action onPress={() => router.push('/stitches')}>Stitches: how each is worked</Action>
    </View>
  );
}

/** What a page leaves for the shelf, px. */
function useShelfWidth(): number {
  const wide = useWide();
  const { width } = useWindowDimensions();
  return Math.min(PAGE.most, width - (wide ? PAGE.rail : 0)) - 2 * PAGE.padding;
}

function rows<T>(all: readonly T[], inARow: number): T[][] {
  return Array.from({ length: Math.ceil(all.length / inARow) }, (_, row) =>
    all.slice(row * inARow, (row + 1) * inARow),
  );
}

interface ThingProps extends Standing {
  width: number;
  scale: number;
  onEdit: () => void;
}

/** One of them: pressed it is measured again, and its cover is planned from its menu. */
function Thing({ id, name, held, girth, outline, width, scale, onEdit }: ThingProps) {
  const router = useRouter();
  const colours = useColours();
  const units = useSettings((state) => state.units);
  const remove = useDeleting((state) => state.remove);
  const say = {
    length: (mm: number) => formatLength(mm, units),
    number: (mm: number) => formatLengthNumber(mm, units),
  };
  const cover = (thing: ThingSpec) => {
    useUsed.getState().touch(id);
    router.push(`/plan/${newPlan(thing)}`);
  };
  return (
    <View role="group" aria-label={name} style={{ gap: 4, width }}>
      <Press label={`Edit: ${name}`} onPress={onEdit}>
        <View style={[STYLES.board, { borderColor: colours.tape }]}>
          <Outline outline={outline} scale={scale} />
        </View>
        <Words as="strong">{name}</Words>
        <Words as="small" tone="faint" style={{ minHeight: 40 }}>
          {`${sizesOf(held.body.thing, say)}, ${formatLength(girth, units)} around`}
        </Words>
      </Press>
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <View style={{ flex: 1, alignItems: 'flex-start' }}>
          <Action label={`Plan a cover for ${name}`} onPress={() => cover(held.body.thing)}>
            Plan a cover
          </Action>
        </View>
        <MoreMenu
          of={name}
          entries={[
            { name: 'Edit', do: onEdit },
            { name: 'Delete', do: () => remove('things', id, name) },
          ]}
        />
      </View>
      <Clash kind="things" id={id} held={held} />
    </View>
  );
}

const STYLES = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'flex-end', columnGap: GAP, paddingBottom: 14 },
  board: { borderBottomWidth: 6, alignItems: 'flex-start', paddingLeft: 8, marginBottom: 6 },
});
