import { useEffect } from 'react';
import { create } from 'zustand';
import { Away, NotPaired, OtherHouse } from './api';
import { useBoard } from './board';
import { layOutWhole, startDevice, useDevice } from './device';
import { useKeeping } from './device/keeper';
import { tellTabs, useLead, type TabMessage } from '@/platform/tabs';
import { inTurn } from '@/platform/exchangeLock';
import { useEvents } from './events';
import { exchange, fetchMake, readOn, type Offered } from './exchange';
import { comeToFront, hearOfInstruments, listenToInstruments, useInstruments } from './instruments';
import { everyHeld, useLibrary } from './library';
import { hasFocus, onWindow, reportFault } from '@/platform/page';

interface Line {
  /** Whether the server was there the last time it was asked. */
  reached: boolean | null;
  /** Whether the server lets this device in no longer. */
  unpaired: boolean;
  /** What went wrong here, where it was not the line. */
  fault: string | null;
  /** Another house answered, and was offered so much. */
  offered: Offered | null;
}

export const useLine = create<Line>(() => ({ reached: null, unpaired: false, fault: null, offered: null }));

const SOON_MS = 250;
const AGAIN_MS = 3000;
const REFRESH_MS = 5000;

let running: Promise<void> | null = null;
let readAt = -Infinity;

/** Sends what waits, then reads what is new, one round at a time. */
function round(): Promise<void> {
  running ??= inTurn(once).finally(() => {
    running = null;
  });
  return running;
}

async function once(): Promise<void> {
  // what is still being drawn is sent once the hand rests; a tab whose store takes nothing speaks for itself
  const speaks = useLead.getState().leads || useKeeping.getState().trouble !== null;
  if (!speaks || useBoard.getState().dragging) return;
  const reading = Date.now() - readAt > REFRESH_MS || !useLine.getState().reached;
  try {
    const offered = await exchange(reading);
    if (offered) useLine.setState({ offered });
    if (reading) readAt = offered ? -Infinity : Date.now();
    reach(true);
    useLine.setState({ unpaired: false });
  } catch (error) {
    if (error instanceof Away) {
      reach(false);
      return useLine.setState({ unpaired: error instanceof NotPaired });
    }
    useLine.setState({ fault: (error as Error).message });
    reportFault(error);
  }
}

function reach(reached: boolean): void {
  if (useLine.getState().reached !== reached) tellTabs({ is: 'line', reached });
  useLine.setState({ reached, fault: null });
}

function hear(word: TabMessage): void {
  const { reached } = useLine.getState();
  if (word.is === 'line') useLine.setState({ reached: word.reached });
  if (word.is === 'opened' && useLead.getState().leads) tellTabs({ is: 'line', reached });
  hearOfInstruments(word);
}

/** Hears measuring devices for as long as the app is open and something on screen takes their readings. */
export function useHearing(): void {
  const leads = useLead((state) => state.leads);
  const wanted = useInstruments((state) => state.wanted);
  const reached = useLine((state) => state.reached === true);
  useEffect(() => (leads && wanted && reached ? listenToInstruments() : undefined), [leads, wanted, reached]);
  useEffect(() => {
    if (hasFocus()) comeToFront();
    return onWindow('focus', comeToFront);
  }, []);
}

/** Whether the server is away; a device that it lets in no longer has not lost it. */
export function useAway(): boolean {
  return useLine(({ reached, unpaired }) => reached === false && !unpaired);
}

/** How much waits to be sent. */
export function useWaiting(): number {
  const events = useEvents((state) => state.unsent.length);
  const documents = useLibrary((state) => everyHeld(state).filter(({ held }) => held.dirty).length);
  return events + documents;
}

/** Opens what this device keeps, for as long as the app is open. */
export function useOpening(): boolean {
  useEffect(() => {
    let left = false;
    let end = () => undefined as void;
    void startDevice(hear)
      .then(async (stop) => {
        await readOn();
        return stop;
      })
      .then((stop) => {
        if (left) stop();
        else end = stop;
      });
    return () => {
      left = true;
      end();
    };
  }, []);
  return useDevice((state) => state.ready);
}

/** Keeps this device and the server in step for as long as the app is open. */
export function useSync(): void {
  const waiting = useWaiting();
  const leads = useLead((state) => state.leads);
  useEffect(() => {
    if (!leads) return undefined;
    const again = setInterval(() => void round(), AGAIN_MS);
    const now = () => {
      readAt = -Infinity;
      void round();
    };
    void readOn().then(now);
    const ends = [onWindow('online', now), onWindow('focus', now)];
    return () => {
      clearInterval(again);
      ends.forEach((end) => end());
    };
  }, [leads]);
  const drawing = useBoard((state) => state.dragging);
  const trouble = useKeeping((state) => state.trouble);
  useEffect(() => {
    if (waiting === 0 || drawing) return undefined;
    const soon = setTimeout(() => void round(), SOON_MS);
    return () => clearTimeout(soon);
  }, [waiting, drawing, trouble]);
}

/** Everything that happened to a make that is looked at, from this device and from the server. */
export function useWholeMake(make: string): void {
  useEffect(() => {
    void layOutWhole(make)
      .then(() => fetchMake(make))
      // away, or another house, which is met in its own turn: it is fetched when it is looked at again
      .catch((error: unknown) => {
        if (!(error instanceof Away || error instanceof OtherHouse))
          useLine.setState({ fault: (error as Error).message });
      });
  }, [make]);
}
