import { create } from 'zustand';
import type { DocumentKind, Instrument, InstrumentReading } from '@keep-snug/core/documents';
import { isInSight } from './page';

/** What one tab tells the others. */
export type TabMessage =
  | { is: 'written'; documents: { kind: DocumentKind; id: string }[]; events: string[]; loaded: boolean }
  | { is: 'line'; reached: boolean | null }
  /** What measuring devices say, from the tab that hears them; and who wants to know. */
  | { is: 'devices'; present: readonly Instrument[] }
  | { is: 'reading'; reading: InstrumentReading }
  | { is: 'readings wanted' }
  /** A tab that is worked in: what a device says is for it alone. */
  | { is: 'in front' }
  /** A tab that has just opened: the one that leads tells it how things stand. */
  | { is: 'opened' };

const CHANNEL = 'keep-snug';
const LEADER = 'keep-snug.leader';

/** Whether this tab speaks with the server for all of them. */
export const useLead = create<{ leads: boolean }>(() => ({ leads: false }));

let channel: BroadcastChannel | undefined;

export function tellTabs(word: TabMessage): void {
  channel?.postMessage(word);
}

/** Listens to the other tabs, and stands for the lead. Where tabs cannot speak with each other, each leads itself. */
export function joinTabs(hear: (word: TabMessage) => void): () => void {
  if (typeof BroadcastChannel === 'undefined' || !globalThis.navigator?.locks) {
    useLead.setState({ leads: true });
    return () => useLead.setState({ leads: false });
  }
  channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }) => hear(data as TabMessage);
  tellTabs({ is: 'opened' });
  const ended = new AbortController();
  stand(ended.signal);
  const takeOver = () => {
    // a tab that is looked at runs at full speed; one behind it is slowed down by the browser
    if (isInSight() && !useLead.getState().leads) stand(ended.signal, true);
  };
  document.addEventListener('visibilitychange', takeOver);
  return () => {
    ended.abort();
    document.removeEventListener('visibilitychange', takeOver);
    channel?.close();
    channel = undefined;
    useLead.setState({ leads: false });
  };
}

/** This tab's place in the queue for the lead, or the lead itself. */
let place: AbortController | undefined;

/** Waits for the lead, or takes it; one that loses it stands again. A tab has one place in the queue. */
function stand(ended: AbortSignal, steal = false): void {
  place?.abort();
  const mine = new AbortController();
  place = mine;
  const lead = () =>
    new Promise<void>((resolve) => {
      if (ended.aborted) return resolve();
      useLead.setState({ leads: true });
      ended.addEventListener('abort', () => resolve());
    });
  navigator.locks
    .request(LEADER, steal ? { steal } : { signal: mine.signal }, lead)
    .catch(() => undefined)
    .finally(() => {
      if (ended.aborted || place !== mine) return;
      useLead.setState({ leads: false });
      stand(ended);
    });
}
