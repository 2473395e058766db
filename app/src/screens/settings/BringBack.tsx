import { plural, type PlanFault } from '@keep-snug/core';
import { DOCUMENT_KINDS } from '@keep-snug/core/documents';
import type { Everything } from '@keep-snug/core/everything';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/actions/Action';
import { chooseFile } from '@/platform/chooseFile';
import { LongWork } from '@/ui/notices/LongWork';
import { Notice } from '@/ui/notices/Notice';
import { RadioList } from '@/ui/fields/RadioList';
import { Words } from '@/ui/layout/Words';
import { useDevice } from '@/data/device';
import { bringBack, changesOf, type BroughtBack, type Changes, type How, type Prefer } from '@/data/bringBack';
import { counted } from '@/data/everything';

interface Opened {
  name: string;
  everything: Everything;
  faults: PlanFault[];
}

/** A saved file brought back: looked at first, done in one press, undone in one. */
export function BringBack() {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [problem, setProblem] = useState('');
  const [done, setDone] = useState<BroughtBack | null>(null);
  const standing = useRef<BroughtBack | null>(null);
  const all = useDevice((state) => state.all);
  // a page that is left lets it stand
  useEffect(() => () => standing.current?.keep(), []);

  const open = async () => {
    const file = await chooseFile('application/json,.json');
    if (!file) return;
    const read = await readFile(file);
    if (typeof read === 'string') return setProblem(read);
    setProblem('');
    setOpened(read);
  };
  const settled = (what: BroughtBack | null) => {
    standing.current = what;
    setDone(what);
    setOpened(null);
  };

  if (done)
    return (
      <Notice
        tone="thread"
        word="Brought back"
        text="Nothing is sent to the server until you keep it or leave this page."
      >
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
          <Action onPress={() => (done.undo(), settled(null))}>Undo</Action>
          <Action onPress={() => (done.keep(), settled(null))}>Keep it</Action>
        </View>
      </Notice>
    );
  if (opened) return <Preview opened={opened} onDone={settled} onClose={() => setOpened(null)} />;
  return (
    <>
      <View style={{ flexDirection: 'row', marginLeft: -4 }}>
        <Action disabled={!all} onPress={() => void open()}>
          Bring everything back from a file
        </Action>
      </View>
      {problem ? <Notice tone="rowan" word="This file cannot be brought back" text={problem} /> : null}
    </>
  );
}

interface PreviewProps {
  opened: Opened;
  onDone: (what: BroughtBack) => void;
  onClose: () => void;
}

function Preview({ opened: { name, everything, faults }, onDone, onClose }: PreviewProps) {
  const [how, setHow] = useState<How>('merge');
  const [prefer, setPrefer] = useState<Prefer>('here');
  const [changes, setChanges] = useState<Changes | null>(null);
  const [far, setFar] = useState<{ done: number; of: number } | null>(null);
  const stopped = useRef(false);
  const bring = async (all: Changes) => {
    stopped.current = false;
    const brought = await bringBack(all, (done, of) => {
      setFar({ done, of });
      return !stopped.current;
    });
    setFar(null);
    if (brought) onDone(brought);
  };
  useEffect(() => {
    let current = true;
    void changesOf(everything, how, prefer).then((found) => current && setChanges(found));
    return () => {
      current = false;
    };
  }, [everything, how, prefer]);
  return (
    <View style={{ gap: 8 }} role="group" aria-label="Bring back">
      <Words as="strong">{`Bring back from ${name}`}</Words>
      <RadioList
        label="How to bring it back"
        value={how}
        options={[
          { id: 'merge', name: 'add to what is here' },
          { id: 'replace', name: 'replace what is here' },
        ]}
        onChange={setHow}
      />
      {how === 'merge' ? (
        <>
          <Words as="smallStrong">Where both differ</Words>
          <RadioList
            label="Where both differ"
            value={prefer}
            options={[
              { id: 'here', name: 'keep what is here' },
              { id: 'file', name: 'use the file’s' },
            ]}
            onChange={setPrefer}
          />
        </>
      ) : null}
      {changes ? (
        inWords(changes).map((line) => <Words key={line}>{line}</Words>)
      ) : (
        <Words tone="faint">Comparing…</Words>
      )}
      {faults.length > 0 ? (
        <Notice
          tone="thread"
          word={`Left out: ${plural(faults.length, 'entry', 'entries')} of the file that cannot be read`}
          text={faults
            .slice(0, 3)
            // the id says nothing to whoever reads it
            .map(({ path, message }) => `${path.replace(/\.[\da-f-]{36}/, '')}: ${message}`)
            .join(' ')}
        />
      ) : null}
      {far ? <LongWork says="Bringing back" {...far} onStop={() => (stopped.current = true)} /> : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 16 }}>
        <Action main disabled={!changes || far !== null} onPress={() => changes && void bring(changes)}>
          Bring it back
        </Action>
        <Action disabled={far !== null} onPress={onClose}>
          Cancel
        </Action>
      </View>
    </View>
  );
}

/** What it does, a line each; what it does not do is left out. */
function inWords({ added, changed, removed, differing, events }: Changes): string[] {
  const list = (places: readonly { kind: string }[]) =>
    DOCUMENT_KINDS.map((kind) => counted(kind, places.filter((place) => place.kind === kind).length))
      .filter((words) => !words.startsWith('0 '))
      .join(', ');
  const lines = [
    added.length > 0 ? `Added: ${list(added)}.` : '',
    changed.length > 0 ? `Replaced by the file’s: ${list(changed)}.` : '',
    differing.length > 0 ? `Different here, and kept: ${list(differing)}.` : '',
    removed.length > 0 ? `Deleted here: ${list(removed)}. They can be brought back for 30 days.` : '',
    events.length > 0 ? `${plural(events.length, 'entry', 'entries')} of makes (rows, notes) added.` : '',
  ].filter(Boolean);
  return lines.length > 0 ? lines : ['Everything in this file is here already.'];
}

/** @returns the file, or why it is none of ours */
async function readFile(file: File): Promise<Opened | string> {
  // forms and their checks are fetched only where they are needed
  const { readEverything } = await import('@/data/checked');
  const value: unknown = await file
    .text()
    .then(
      (text) => JSON.parse(text) as unknown,
      () => undefined,
    )
    .catch(() => undefined);
  const read = readEverything(value);
  return read
    ? { name: file.name, ...read }
    : `“${file.name}” was not saved by Keep Snug. Choose one that was: its name begins with keep-snug.`;
}
