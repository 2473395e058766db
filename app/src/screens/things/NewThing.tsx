import {
  capital,
  blankDraft,
  outlineOf,
  readDraft,
  thingDefinition,
  THINGS,
  type LengthUnit,
  type ThingDraft,
  type ThingSpec,
  isBlank,
  upTo,
} from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { newPlan } from '@/reading/newPlan';
import { Outline } from '@/drawing/Outline';
import { SizedOutline, WORDS_BESIDE } from '@/drawing/SizedOutline';
import { Action } from '@/ui/actions/Action';
import { FieldRow } from '@/ui/layout/FieldRow';
import { ListTools } from '@/ui/lists/ListTools';
import { Press } from '@/ui/actions/Press';
import { RoomBar } from '@/ui/layout/RoomBar';
import { Tabs } from '@/ui/layout/Tabs';
import { SubmitProvider } from '@/ui/fields/submit';
import { Title } from '@/ui/layout/Title';
import { useBox } from '@/ui/layout/useBox';
import { useFinding } from '@/ui/lists/useFinding';
import { Words } from '@/ui/layout/Words';
import { draftNow, useDraft } from '@/data/draft';
import { useLibrary, useShelf } from '@/data/library';
import { useSettings } from '@/data/settings';
import { useUsed } from '@/data/used';
import { useColours } from '@/theme/useTheme';
import { MeasuredWith } from '@/ui/fields/MeasuredWith';
import { NoTape } from './NoTape';
import { resolverOf, ThingForm, useThingDraft } from '@/ui/fields/ThingForm';
import { TextLine, ThingLines } from '@/ui/fields/ThingLines';

/** What is wrong with a draft, by path: a cover has to be called something. */
function faultsOf(draft: ThingDraft, units: LengthUnit): Record<string, string> {
  const { faults } = readDraft(draft, units);
  return isBlank(draft.texts.name ?? '') ? { name: NO_NAME, ...faults } : faults;
}

const NO_NAME = 'No name yet. Say what it is, such as field phone.';

/** "What should it hold?": a thing from the shelf, or one measured now. */
export function NewThing() {
  const units = useSettings((state) => state.units);
  const [start] = useState(() => draftNow());
  return (
    <ThingForm start={start} onType={useDraft.getState().keep} resolver={resolverOf(faultsOf, units)}>
      <Measuring />
    </ThingForm>
  );
}

function Measuring() {
  const colours = useColours();
  const router = useRouter();
  const units = useSettings((state) => state.units);
  const { form, draft } = useThingDraft();
  const kind = thingDefinition(draft.kind) ?? THINGS[0]!;
  const shelf = useShelf('things');
  const tried = form.formState.isSubmitted;
  const read = readDraft(draft, units);
  const { thing } = read;
  const measure = (next: string) => {
    form.setValue('kind', next);
    if (draft.entries.length < (thingDefinition(next)!.list?.least ?? 0))
      form.setValue('entries', blankDraft(thingDefinition(next)!).entries);
  };

  const [way, setWay] = useState<(typeof WAYS)[number]['id']>('tape');
  const onPlan = (plan: string) => router.replace(`/plan/${plan}?stage=fabric`);
  const goOn = form.handleSubmit(() => {
    useLibrary.getState().add('things', { name: upTo((draft.texts.name ?? '').trim(), 120), thing });
    const plan = newPlan(thing);
    useDraft.getState().clear();
    onPlan(plan);
  });

  return (
    <View style={{ flex: 1, backgroundColor: colours.chalk }}>
      <RoomBar back={{ to: '/starts', name: 'what people make' }}>
        <Title style={{ fontSize: 20, flex: 1 }}>What should it hold?</Title>
      </RoomBar>
      <ScrollView role="main" contentContainerStyle={{ alignItems: 'center' }}>
        <View style={{ width: '100%', maxWidth: 720, padding: 20, gap: 14 }}>
          <Shelf onTake={(taken) => onPlan(newPlan(taken))} />
          <Words as="heading" level={2}>
            {shelf.length > 0 ? 'Or measure another' : 'Measure it'}
          </Words>
          <Tabs as="radio" label="Measure with" options={WAYS} value={way} onChange={setWay} />
          {way === 'chains' ? (
            <NoTape onPlan={onPlan} />
          ) : (
            <SubmitProvider value={() => void goOn()}>
              <Tabs as="radio" label="Kind of thing" options={THINGS} value={kind.id} onChange={measure} />
              <Words tone="faint">{`${capital(kind.examples)}. ${TYPED[units]}`}</Words>
              <Preview thing={thing} />
              <FieldRow>
                <TextLine
                  line="texts.name"
                  label="Name"
                  most={120}
                  error={tried ? faultsOf(draft, units).name : undefined}
                />
              </FieldRow>
              <MeasuredWith>
                <ThingLines key={kind.id} definition={kind} thing={thing} read={read} tried={tried} />
              </MeasuredWith>
              <View style={{ alignItems: 'flex-start', paddingBottom: 24 }}>
                <Action main onPress={() => void goOn()}>
                  Plan a cover
                </Action>
              </View>
            </SubmitProvider>
          )}
        </View>
      </ScrollView>
    </View>
  );
}

/** How measurements may be typed, the house’s own unit first. */
const TYPED: Readonly<Record<LengthUnit, string>> = {
  mm: 'In mm, such as 82; cm or inches with their name: 8.2 cm, 3 1/4 in.',
  cm: 'In cm, such as 8.2; mm or inches with their name: 82 mm, 3 1/4 in.',
  in: 'In inches, such as 3 1/4; mm or cm with their name: 82 mm, 8.2 cm.',
  m: 'In metres, such as 0.082; mm or cm with their name: 82 mm, 8.2 cm.',
};

const WAYS = [
  { id: 'tape', name: 'tape or ruler' },
  { id: 'chains', name: 'my chains' },
] as const;

const TALLEST = 72;
/** So many of the shelf are shown before it is searched. */
const SHOWN = 6;

/** The things on the shelf in outline, all to one scale, the last used first, each to be taken by a press. */
function Shelf({ onTake }: { onTake: (thing: ThingSpec) => void }) {
  const all = useShelf('things').flatMap(([id, { body }]) => {
    const outline = outlineOf(body.thing);
    return outline ? [{ id, name: body.name, body, outline }] : [];
  });
  const finding = useFinding(all);
  if (all.length === 0) return null;
  const things = finding.found.slice(0, SHOWN);
  const tallest = Math.max(1, ...things.map(({ outline }) => outline.height));
  const widest = Math.max(1, ...things.map(({ outline }) => outline.width));
  const scale = Math.min(TALLEST / tallest, 96 / widest);
  return (
    <View style={{ gap: 8 }}>
      <Words as="heading" level={2}>
        One of your items
      </Words>
      <ListTools what="items" finding={finding} />
      <View style={STYLES.shelf}>
        {things.map(({ id, body, outline }) => (
          <Press
            key={id}
            onPress={() => {
              useUsed.getState().touch(id);
              onTake(body.thing);
            }}
            style={STYLES.thing}
          >
            <Outline outline={outline} scale={scale} />
            <Words as="smallStrong" tone="sea" style={{ minHeight: 40 }}>
              {body.name}
            </Words>
          </Press>
        ))}
      </View>
      {finding.found.length > SHOWN ? (
        <Words as="small" tone="faint">{`${finding.found.length - SHOWN} more: search for them.`}</Words>
      ) : null}
    </View>
  );
}

const STYLES = StyleSheet.create({
  shelf: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', gap: 10, paddingTop: 8 },
  thing: { width: 104, justifyContent: 'flex-end', gap: 4 },
});

/** The thing's outline as far as it is known, growing as it is typed, with its width and height. */
function Preview({ thing }: { thing: Parameters<typeof outlineOf>[0] }) {
  const { box, onLayout } = useBox();
  const outline = outlineOf(thing);
  const room = box.width - WORDS_BESIDE;
  const scale = outline ? Math.min(120 / outline.height, room / outline.width) : 0;
  return (
    <View onLayout={onLayout} style={{ minHeight: outline ? 156 : 0 }}>
      {outline && room > 0 ? <SizedOutline outline={outline} scale={scale} /> : null}
    </View>
  );
}
