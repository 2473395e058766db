import { METHODS, plural } from '@keep-snug/core';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { Page } from '@/ui/layout/Page';
import { RadioList } from '@/ui/fields/RadioList';
import { Tabs } from '@/ui/layout/Tabs';
import { Words } from '@/ui/layout/Words';
import { useEvents } from '@/data/events';
import { useSettings, type Choices } from '@/data/settings';
import { useLine, useWaiting } from '@/data/sync';
import { BringBack } from './BringBack';
import { DeletedList } from './DeletedList';
import { InstallPart } from './InstallPart';
import { PhonesPart } from './PhonesPart';
import { RefusedEvents } from './RefusedEvents';
import { saveEverything, useHeldInWords } from '@/data/everything';
import { NotOnServer, useNotOnServer } from './NotOnServer';

/** What can be set, and how each choice is named. */
const CHOICES: { [K in keyof Choices]: { name: string; options: readonly { id: Choices[K]; name: string }[] } } = {
  units: {
    name: 'Units',
    options: [
      { id: 'mm', name: 'mm' },
      { id: 'cm', name: 'cm' },
      { id: 'in', name: 'inches' },
    ],
  },
  terms: {
    name: 'Crochet terms',
    options: [
      { id: 'US', name: 'US' },
      { id: 'UK', name: 'UK' },
    ],
  },
  hand: {
    name: 'Hook hand',
    options: [
      { id: 'right', name: 'right' },
      { id: 'left', name: 'left (mirrors drawings)' },
    ],
  },
  rounds: {
    name: 'Rounds',
    options: [
      { id: 'spiral', name: 'continuous spiral' },
      { id: 'joined', name: 'joined with a slip stitch' },
    ],
  },
  turningChain: {
    name: 'Turning chain (taller stitches)',
    options: [
      { id: 'plain', name: 'does not count' },
      { id: 'counts', name: 'counts as a stitch' },
    ],
  },
  ring: {
    name: 'Start of rounds',
    options: [
      { id: 'wrapped', name: 'magic ring' },
      { id: 'two-chains', name: 'chain 2' },
    ],
  },
  foundation: {
    name: 'Start of rows',
    options: [
      { id: 'chain', name: 'foundation chain' },
      { id: 'stitches', name: 'foundation stitches' },
    ],
  },
  measuredWith: { name: 'Stitches measured with', options: METHODS },
  voice: {
    name: 'Patterns',
    options: [
      { id: 'full', name: 'in full sentences' },
      { id: 'short', name: 'in abbreviations' },
    ],
  },
  paper: {
    name: 'Printer paper',
    options: [
      { id: 'A4', name: 'A4' },
      { id: 'Letter', name: 'Letter' },
    ],
  },
  letters: {
    name: 'Text size',
    options: [
      { id: 'usual', name: 'normal' },
      { id: 'large', name: 'large' },
      { id: 'larger', name: 'larger' },
    ],
  },
  theme: {
    name: 'Theme',
    options: [
      { id: 'device', name: 'same as device' },
      { id: 'light', name: 'light' },
      { id: 'dark', name: 'dark' },
      { id: 'lamp', name: 'low light' },
    ],
  },
};

/** How this device reads and shows. */
export function SettingsPage() {
  return (
    <Page title="Settings" says="How this device reads, shows and keeps.">
      <ToStitches />
      <ChoiceOf of="units" />
      <ChoiceOf of="terms" />
      <ChoiceOf of="hand" />
      <ChoiceOf of="rounds" />
      <ChoiceOf of="turningChain" />
      <ChoiceOf of="ring" />
      <ChoiceOf of="foundation" />
      <ChoiceOf of="measuredWith" />
      <ChoiceOf of="voice" />
      <ChoiceOf of="paper" />
      <ChoiceOf of="letters" />
      <ChoiceOf of="theme" />
      <Data />
      <Setting name="Phones">
        <PhonesPart />
      </Setting>
      <Setting name="App">
        <InstallPart />
      </Setting>
      <Setting name="Deleted">
        <DeletedList />
      </Setting>
    </Page>
  );
}

/** The words of patterns are explained in a place of their own. */
function ToStitches() {
  const router = useRouter();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, marginLeft: -4 }}>
      <Action onPress={() => router.push('/stitches')}>Stitches: how each is worked</Action>
      <Action onPress={() => router.push('/guide')}>How it goes</Action>
    </View>
  );
}

function ChoiceOf<K extends keyof Choices>({ of }: { of: K }) {
  const value = useSettings((state) => state[of]) as Choices[K];
  const set = useSettings((state) => state.set);
  const { name, options } = CHOICES[of];
  const isLong = options.some((option) => option.name.length > 12);
  const choice = { label: name, value, options, onChange: (next: Choices[K]) => set({ [of]: next }) };
  return <Setting name={name}>{isLong ? <RadioList {...choice} /> : <Tabs as="radio" {...choice} />}</Setting>;
}

function Data() {
  const router = useRouter();
  const waiting = useWaiting();
  const reached = useLine((state) => state.reached);
  const [saved, setSaved] = useState('');
  const held = useHeldInWords();
  const aside = useEvents((state) => Object.keys(state.refused).length);
  const unsettled = useNotOnServer().length;
  return (
    <Setting name="Data">
      <Words>{`On this device: ${held}.`}</Words>
      <Words tone="faint">{whereItIs(waiting, aside + unsettled)}</Words>
      <NotOnServer />
      <RefusedEvents />
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action onPress={() => void saveEverything({ reached, waiting: waiting + aside + unsettled }).then(setSaved)}>
          Save everything as a file
        </Action>
      </View>
      {saved ? (
        <Words as="small" tone="lichen" live>
          {`Saved as ${saved} (JSON).`}
        </Words>
      ) : null}
      <BringBack />
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action onPress={() => router.push('/tables')}>Tables for a spreadsheet (CSV)</Action>
      </View>
    </Setting>
  );
}

function whereItIs(waiting: number, aside: number): string {
  if (waiting > 0) return `${plural(waiting, 'change is', 'changes are')} not with the server yet.`;
  return aside > 0 ? 'The server has everything but what is told here.' : 'The server has all of it too.';
}

function Setting({ name, children }: { name: string; children: ReactNode }) {
  return (
    <View style={{ gap: 4, maxWidth: 640 }}>
      <Words as="heading" level={2}>
        {name}
      </Words>
      {children}
    </View>
  );
}
