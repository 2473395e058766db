import { readMeta, type Cursor, type Device } from './database';
import { moveIn } from './earlier';
import {
  isDocumentPending,
  isEventPending,
  keepDraft,
  startKeeping,
  stopKeeping,
  tellTrouble,
  type Written,
} from './keeper';
import { leftDraft } from './leftDraft';
import { layOut, layOutLedger, layOutMake, takeOver } from './laying';
import { joinTabs, tellTabs, type TabMessage } from '@/platform/tabs';
import { useDraft } from '../draft';
import { useLibrary } from '../library';
import { create } from 'zustand';

/** How far this device is with laying out what it keeps. */
export const useDevice = create<{ ready: boolean; all: boolean }>(() => ({ ready: false, all: false }));

let device: Device | null = null;

/** This device's store, where it has one. */
export const deviceNow = () => device;

/**
 * Opens what this device keeps and lays it out, the bench first; listens to other tabs from then on.
 * @param hear told what other tabs say, once what they wrote is taken over
 * @returns what ends it
 */
export async function startDevice(hear: (word: TabMessage) => void): Promise<() => void> {
  device = await startKeeping(afterWriting);
  const leave = joinTabs((word) => void takenOver(word).then(() => hear(word)));
  if (device) {
    await moveIn(device).catch(tellTrouble);
    await layOut(device);
    const draft = await readMeta(device, 'draft');
    if (draft) useDraft.setState({ draft });
  }
  const stopDraft = useDraft.subscribe(({ draft }) => keepDraft(draft));
  const left = leftDraft();
  if (left) useDraft.getState().keep(left);
  useDevice.setState({ ready: true });
  if (device) void layOutLedger(device).then(() => useDevice.setState({ all: true }));
  else useDevice.setState({ all: true });
  return () => {
    leave();
    stopDraft();
    stopKeeping();
    device = null;
    useDevice.setState({ ready: false, all: false });
  };
}

function afterWriting({ documents, events }: Written): void {
  useLibrary.getState().adopt(documents.filter(({ kind, id }) => !isDocumentPending(kind, id)));
  tellTabs({
    is: 'written',
    documents: documents.map(({ kind, id }) => ({ kind, id })),
    events: events.map(({ id }) => id),
    loaded: useLibrary.getState().loaded,
  });
}

async function takenOver(word: TabMessage): Promise<void> {
  if (word.is !== 'written' || !device) return;
  await takeOver(device, {
    documents: word.documents.filter(({ kind, id }) => !isDocumentPending(kind, id)),
    events: word.events.filter((id) => !isEventPending(id)),
  });
  if (word.loaded) useLibrary.setState({ loaded: true });
}

export async function readCursor(): Promise<Cursor | undefined> {
  return device ? readMeta(device, 'cursor') : undefined;
}

/** The last number that an earlier version had read; nothing where there was none. */
export async function readEarlierSeq(): Promise<number | undefined> {
  return device ? readMeta(device, 'earlier') : undefined;
}

/** Everything this device has of a make that lies in the ledger. */
export async function layOutWhole(make: string): Promise<void> {
  if (device) await layOutMake(device, make);
}
