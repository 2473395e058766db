import { nextCount, type Happening, type KeptEvent, type MakeEvent } from '@keep-snug/core';
import { create } from 'zustand';
import { eventRecord, type EventRecord } from './device/database';
import { keepEvent } from './device/keeper';
import { newId } from '@/platform/ids';
import { useSettings } from './settings';

/** An event that the server would not take, and why. */
export interface Refused {
  event: MakeEvent;
  reason: string;
}

interface Events {
  byMake: Record<string, KeptEvent[]>;
  /** Ids of events that the server has not confirmed. */
  unsent: string[];
  /** What the server would not take, by id: it waits for whoever can mend it, and nothing waits for it. */
  refused: Record<string, Refused>;
  /**
   * Writes down that something happened: here first, to the server when it can be reached.
   * @param id of the event, where what caused it has one of its own and may be heard by several devices
   */
  happened: (make: string, what: Happening, id?: string) => void;
  confirmed: (ids: readonly string[]) => void;
  setAside: (refused: readonly { id: string; reason: string }[]) => void;
  /** Sends what was set aside once more. */
  tryAgain: (id: string) => void;
  /** Lets go of what was set aside, or was never sent. */
  letGo: (ids: readonly string[]) => void;
  receive: (list: readonly KeptEvent[]) => void;
  /** Takes in events of a file: they happened, and the server may not know of them. */
  bring: (list: readonly MakeEvent[]) => void;
  /** All of them are to be sent anew, to a house that does not know them. */
  offerAnew: (ids: readonly string[]) => void;
  /** As they stand in this device's store, where another tab may have written. */
  adopt: (list: readonly { id: string; record: EventRecord | undefined }[]) => void;
}

export const useEvents = create<Events>()((set, get) => {
  const keep = (id: string, work: (record: EventRecord) => EventRecord | undefined) =>
    keepEvent(id, (record) => record && work(record));

  const waiting = ({ refused: _reason, ...record }: EventRecord): EventRecord => ({ ...record, waits: 1 });

  return {
    byMake: {},
    unsent: [],
    refused: {},
    happened: (make, what, id = newId()) => {
      const { device } = useSettings.getState();
      const n = nextCount(get().byMake[make] ?? []);
      get().bring([{ id, make, device, at: new Date().toISOString(), n, ...what }]);
    },
    bring: (list) => {
      const { byMake } = get();
      const known = new Map<string, Set<string>>();
      const knownOf = (make: string) => {
        if (!known.has(make)) known.set(make, new Set((byMake[make] ?? []).map(({ id }) => id)));
        return known.get(make)!;
      };
      const fresh = list.filter(({ id, make }) => !knownOf(make).has(id));
      for (const event of fresh) keepEvent(event.id, (record) => record ?? eventRecord(event, { waits: 1 }));
      set((state) => ({
        byMake: merged(state.byMake, fresh),
        unsent: [...state.unsent, ...fresh.map(({ id }) => id)],
      }));
    },
    confirmed: (ids) => {
      const known = new Set(ids);
      for (const id of ids) keep(id, ({ waits: _sent, ...record }) => record);
      set((state) => ({ unsent: state.unsent.filter((id) => !known.has(id)) }));
    },
    setAside: (list) => {
      const reasons = new Map(list.map(({ id, reason }) => [id, reason]));
      for (const [id, refused] of reasons) keep(id, ({ waits: _waits, ...record }) => ({ ...record, refused }));
      set((state) => {
        const events = Object.values(state.byMake)
          .flat()
          .filter(({ id }) => reasons.has(id));
        const aside = events.map((event): [string, Refused] => [event.id, { event, reason: reasons.get(event.id)! }]);
        return {
          unsent: state.unsent.filter((id) => !reasons.has(id)),
          refused: { ...state.refused, ...Object.fromEntries(aside) },
        };
      });
    },
    tryAgain: (id) => {
      keep(id, waiting);
      set(({ refused: { [id]: _again, ...refused }, unsent }) => ({ refused, unsent: [...unsent, id] }));
    },
    letGo: (ids) => {
      const gone = new Set(ids);
      for (const id of ids) keepEvent(id, () => undefined);
      set(({ refused, unsent, byMake }) => ({
        refused: Object.fromEntries(Object.entries(refused).filter(([id]) => !gone.has(id))),
        unsent: unsent.filter((id) => !gone.has(id)),
        byMake: without(byMake, gone),
      }));
    },
    receive: (list) => {
      for (const event of list)
        keepEvent(event.id, (record) => (record?.refused === undefined ? eventRecord(event) : record));
      const known = new Set(list.map(({ id }) => id));
      set((state) => ({
        byMake: merged(state.byMake, list),
        unsent: state.unsent.some((id) => known.has(id)) ? state.unsent.filter((id) => !known.has(id)) : state.unsent,
      }));
    },
    offerAnew: (ids) => {
      for (const id of ids)
        keep(id, ({ event: { seq: _other, ...event }, ...record }) => ({ ...waiting({ ...record, event }) }));
      set(({ byMake }) => ({
        byMake: Object.fromEntries(
          Object.entries(byMake).map(([make, list]) => [
            make,
            list.map(({ seq: _other, ...event }) => event as KeptEvent),
          ]),
        ),
        unsent: [...ids],
        refused: {},
      }));
    },
    adopt: (list) => set((state) => adopted(state, list)),
  };
});

type Kept = Pick<Events, 'byMake' | 'unsent' | 'refused'>;

/** What this page holds, after what stands in the store took its place. */
function adopted(state: Kept, list: readonly { id: string; record: EventRecord | undefined }[]): Kept {
  const unsent = new Set(state.unsent);
  const refused = { ...state.refused };
  const gone = new Set<string>();
  const present: KeptEvent[] = [];
  for (const { id, record } of list) {
    unsent.delete(id);
    delete refused[id];
    if (!record) {
      gone.add(id);
      continue;
    }
    present.push(record.event);
    if (record.waits) unsent.add(id);
    if (record.refused !== undefined) refused[id] = { event: record.event, reason: record.refused };
  }
  const byMake = gone.size > 0 ? without(state.byMake, gone) : state.byMake;
  return { byMake: merged(byMake, present), unsent: [...unsent], refused };
}

function without(byMake: Events['byMake'], gone: ReadonlySet<string>): Events['byMake'] {
  const next = { ...byMake };
  for (const [make, list] of Object.entries(byMake)) {
    const rest = list.filter(({ id }) => !gone.has(id));
    if (rest.length === 0) delete next[make];
    else if (rest.length < list.length) next[make] = rest;
  }
  return next;
}

/** Events by make with more events added, each once; the server's sequence is taken on where it was not known. */
export function merged(byMake: Record<string, KeptEvent[]>, more: readonly KeptEvent[]): Record<string, KeptEvent[]> {
  const next = { ...byMake };
  const places = new Map<string, Map<string, number>>();
  let changed = false;
  for (const event of more) {
    const { id, make } = event;
    const known = places.get(make) ?? new Map((next[make] ?? []).map((each, index) => [each.id, index]));
    places.set(make, known);
    const at = known.get(id);
    const before = at === undefined ? undefined : next[make]![at]!;
    if (before && (event.seq === undefined || before.seq === event.seq)) continue;
    changed = true;
    if (next[make] === byMake[make]) next[make] = [...(next[make] ?? [])];
    if (at === undefined) {
      known.set(id, next[make]!.length);
      next[make]!.push(event);
    } else next[make]![at] = event;
  }
  return changed ? next : byMake;
}

const NONE: KeptEvent[] = [];

export function useMakeEvents(make: string): KeptEvent[] {
  return useEvents((state) => state.byMake[make]) ?? NONE;
}
