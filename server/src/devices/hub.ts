import { randomUUID } from 'node:crypto';
import type { Instrument, InstrumentReading } from '@keep-snug/core/documents';

/** What the pages hear: which devices are there, and what one of them read. */
export type Heard =
  { is: 'devices'; devices: readonly Instrument[] } | { is: 'reading'; seq: number; reading: InstrumentReading };

/** So many readings are told again to a page whose line broke. */
const KEPT = 100;

export interface Hub {
  join: (device: Omit<Instrument, 'id'>) => Instrument;
  leave: (device: Instrument) => void;
  read: (device: Instrument, value: number | null) => void;
  devices: () => readonly Instrument[];
  /** @param since the last reading that was heard; those after it are told at once, none where nothing was heard yet */
  listen: (hear: (heard: Heard) => void, since?: number) => () => void;
}

/** Where devices and pages meet. */
export function createHub(): Hub {
  const devices = new Map<string, Instrument>();
  const listeners = new Set<(heard: Heard) => void>();
  let readings: Extract<Heard, { is: 'reading' }>[] = [];
  let seq = 0;
  const tell = (heard: Heard) => listeners.forEach((hear) => hear(heard));
  const present = (): Heard => ({ is: 'devices', devices: [...devices.values()] });
  return {
    join: ({ kind, name }) => {
      const known = { id: randomUUID(), kind, name };
      devices.set(known.id, known);
      tell(present());
      return known;
    },
    leave: ({ id }) => {
      if (devices.delete(id)) tell(present());
    },
    read: ({ kind, name }, value) => {
      seq += 1;
      const heard = { is: 'reading', seq, reading: { id: randomUUID(), kind, name, value } } as const;
      readings = [...readings.slice(1 - KEPT), heard];
      tell(heard);
    },
    devices: () => [...devices.values()],
    listen: (hear, since) => {
      hear(present());
      // a number from before this start is of another count
      if (since !== undefined && since <= seq) readings.filter((one) => one.seq > since).forEach(hear);
      listeners.add(hear);
      return () => listeners.delete(hear);
    },
  };
}
