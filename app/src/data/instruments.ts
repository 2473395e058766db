import type { Instrument, InstrumentKind, InstrumentReading } from '@keep-snug/core/documents';
import { create } from 'zustand';
import { tellTabs, type TabMessage } from '@/platform/tabs';
import { hasFocus } from '@/platform/page';

interface Instruments {
  /** Which devices are there. */
  present: readonly Instrument[];
  /** Whether something on screen takes readings: until then nobody is asked for them. */
  wanted: boolean;
  /** Presses of a row clicker that no step was ticked for yet, by their ids. */
  clicks: readonly string[];
}

/** Calipers, scales and row clickers, as far as the server hears of them. */
export const useInstruments = create<Instruments>(() => ({ present: [], wanted: false, clicks: [] }));

interface Taker {
  kind: InstrumentKind;
  take: (value: number) => void;
}

/** The field that is typed in, where it takes readings. */
let taker: Taker | null = null;

/** Whether a make is open that clicks are for. */
let counting = false;

/** Of several tabs, only the one last worked in takes what a device says. */
let inFront = true;

/** From here on readings of a kind go into a field. */
export function takeReadings(field: Taker): void {
  taker = field;
  want();
}

/** A field is left. One whose window is left for the device's own keeps its place. */
export function leaveReadings(): void {
  if (hasFocus()) taker = null;
}

/** From here on clicks are for the make that is open; gives what ends it. */
export function takeClicks(): () => void {
  counting = true;
  want();
  return () => {
    counting = false;
    useInstruments.setState({ clicks: [] });
  };
}

/** A click has done its work. */
export function clickDone(id: string): void {
  useInstruments.setState(({ clicks }) => ({ clicks: clicks.filter((one) => one !== id) }));
}

function want(): void {
  if (useInstruments.getState().wanted) return;
  useInstruments.setState({ wanted: true });
  tellTabs({ is: 'readings wanted' });
}

/** This tab is the one that is worked in. */
export function comeToFront(): void {
  inFront = true;
  tellTabs({ is: 'in front' });
}

/** Takes in what a device said, as the server passed it on. */
export function received({ id, kind, value }: InstrumentReading): void {
  if (!inFront) return;
  if (kind === 'clicker') {
    if (counting) useInstruments.setState(({ clicks }) => ({ clicks: [...clicks, id] }));
    return;
  }
  if (taker?.kind === kind && value !== null) taker.take(value);
}

/** What other tabs say of devices. */
export function hearOfInstruments(word: TabMessage): void {
  if (word.is === 'in front') inFront = false;
  if (word.is === 'readings wanted') useInstruments.setState({ wanted: true });
  if (word.is === 'devices') useInstruments.setState({ present: word.present });
  if (word.is === 'reading') received(word.reading);
}

/** Listens at the server for as long as it is wanted, and tells the other tabs. */
export function listenToInstruments(): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const line = new EventSource('/api/devices/readings');
  const show = (present: readonly Instrument[]) => {
    useInstruments.setState({ present });
    tellTabs({ is: 'devices', present });
  };
  line.addEventListener('devices', ({ data }) => show(JSON.parse(data as string) as Instrument[]));
  line.addEventListener('reading', ({ data }) => {
    const reading = JSON.parse(data as string) as InstrumentReading;
    tellTabs({ is: 'reading', reading });
    received(reading);
  });
  // whoever does not answer has no devices
  line.addEventListener('error', () => show([]));
  return () => {
    line.close();
    show([]);
  };
}
