import type { MakeEvent } from '@keep-snug/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { newId } from './ids';
import { useSettings } from './settings';
import { deviceStorage } from './storage';

type Happening = MakeEvent extends infer E
  ? E extends MakeEvent
    ? Omit<E, 'id' | 'make' | 'device' | 'at'>
    : never
  : never;

interface Events {
  byMake: Record<string, MakeEvent[]>;
  /** Ids of events that the server has not confirmed. */
  unsent: string[];
  /** The last of the server's events that this device has seen. */
  seq: number;
  /** Writes down that something happened: here first, to the server when it can be reached. */
  happened: (make: string, what: Happening) => void;
  confirmed: (ids: readonly string[]) => void;
  receive: (list: readonly { seq: number; event: MakeEvent }[]) => void;
}

export const useEvents = create<Events>()(
  persist(
    (set) => ({
      byMake: {},
      unsent: [],
      seq: 0,
      happened: (make, what) => {
        const { device } = useSettings.getState();
        const event = { id: newId(), make, device, at: new Date().toISOString(), ...what } as MakeEvent;
        set((state) => ({ byMake: merged(state.byMake, [event]), unsent: [...state.unsent, event.id] }));
      },
      confirmed: (ids) => set((state) => ({ unsent: state.unsent.filter((id) => !ids.includes(id)) })),
      receive: (list) =>
        set((state) => ({
          byMake: merged(
            state.byMake,
            list.map(({ event }) => event),
          ),
          seq: Math.max(state.seq, ...list.map(({ seq }) => seq)),
        })),
    }),
    { name: 'keep-snug.events', storage: deviceStorage },
  ),
);

/** Events by make with more events added, each once. */
export function merged(byMake: Record<string, MakeEvent[]>, more: readonly MakeEvent[]): Record<string, MakeEvent[]> {
  if (more.length === 0) return byMake;
  const next = { ...byMake };
  const known = new Map<string, Set<string>>();
  for (const event of more) {
    const ids = known.get(event.make) ?? new Set((next[event.make] ?? []).map(({ id }) => id));
    known.set(event.make, ids);
    if (ids.has(event.id)) continue;
    ids.add(event.id);
    next[event.make] = [...(next[event.make] ?? []), event];
  }
  return next;
}

const NONE: MakeEvent[] = [];

export function useMakeEvents(make: string): MakeEvent[] {
  return useEvents((state) => state.byMake[make]) ?? NONE;
}
