import { finishOf, nextCount, type KeptEvent, type MakeEvent } from '@keep-snug/core';
import type { CsvTable, LedgerRow, ReadRow } from '@keep-snug/core/csv';
import type { DocumentKind } from '@keep-snug/core/documents';
import same from 'fast-deep-equal';
import type { Changes } from '@/data/bringBack';
import { byMake, documentsHere, eventsHere } from '@/data/everything';
import { newId } from '@/platform/ids';
import { useSettings } from '@/data/settings';

/** What a row is to what is here: something new, a change to it, the same, or not to be read. */
export type Standing = 'new' | 'change' | 'same' | 'fault';

/** What is here, to be compared with. */
export interface Here {
  documents: ReadonlyMap<string, unknown>;
  events: ReadonlyMap<string, readonly KeptEvent[]>;
}

export async function whatIsHere(): Promise<Here> {
  const events = byMake(await eventsHere());
  return {
    documents: new Map(documentsHere().map(({ kind, id, held }) => [`${kind}/${id}`, held.body])),
    events,
  };
}

const NO_MAKE = 'There is no such project here. Bring in its row of the projects first, or take this row out.';

/** A row with what this device knows: one that belongs to a project that is not here cannot be taken. */
export function againstHere({ columns }: CsvTable, row: ReadRow, makeColumn: number, here: Here): ReadRow {
  if (!row.ok || !columns.some(({ path }) => path === 'make')) return row;
  const { make } = row.body as { make: string };
  if (here.documents.has(`makes/${make}`)) return row;
  return { ok: false, faults: [{ column: makeColumn < 0 ? null : makeColumn, message: NO_MAKE }] };
}

export function standingOf({ id }: CsvTable, row: ReadRow, here: Here): Standing {
  if (!row.ok) return 'fault';
  if (id === 'log') return known(row.body as MakeEvent, here) ? 'same' : 'new';
  if (id === 'ledger') return finishedAnew(row.body as LedgerRow, here) ? 'change' : 'same';
  const before = row.id === null ? undefined : here.documents.get(`${id}/${row.id}`);
  if (before === undefined) return 'new';
  return same(before, row.body) ? 'same' : 'change';
}

const known = ({ id, make }: MakeEvent, { events }: Here): boolean =>
  events.get(make)?.some((event) => event.id === id) ?? false;

/** What a row of the ledger says of a finished project that is not said of it yet. */
function finishedAnew({ make, asMade, fits, grams, minutes, note }: LedgerRow, { events }: Here) {
  const before = finishOf(events.get(make) ?? []);
  const { asMade: sizes = {}, fits: fitted, grams: weighed, minutes: spent, note: noted } = before ?? {};
  const own = {
    asMade: asMade ?? {},
    fits,
    grams,
    // what was reckoned from the ticks was never said
    minutes: spent === undefined ? undefined : minutes,
    note,
  };
  const stands = { asMade: sizes, fits: fitted, grams: weighed, minutes: spent, note: noted };
  if (same(JSON.parse(JSON.stringify(own)), JSON.parse(JSON.stringify(stands)))) return null;
  return { asMade, fits, grams, minutes, note };
}

/** What bringing rows in does: documents under their ids or new ones, and what happened to projects. */
export function changesBy(table: CsvTable, rows: readonly ReadRow[], here: Here): Changes {
  const changes: Changes = { added: [], changed: [], removed: [], differing: [], events: [] };
  for (const row of rows) {
    const standing = standingOf(table, row, here);
    if (!row.ok || standing === 'same') continue;
    if (table.id === 'log') changes.events.push(row.body as MakeEvent);
    else if (table.id === 'ledger') changes.events.push(finished(row.body as LedgerRow, here));
    else {
      const place = { kind: table.id as DocumentKind, id: row.id ?? newId(), body: row.body };
      (standing === 'new' ? changes.added : changes.changed).push(place);
    }
  }
  return changes;
}

function finished(row: LedgerRow, here: Here): MakeEvent {
  const happened = here.events.get(row.make) ?? [];
  // what the table has no column for stays
  const { picture } = finishOf(happened) ?? {};
  const said = { picture, ...finishedAnew(row, here) };
  return {
    id: newId(),
    make: row.make,
    device: useSettings.getState().device,
    at: new Date().toISOString(),
    n: nextCount(happened),
    kind: 'finished',
    ...(JSON.parse(JSON.stringify(said)) as object),
  };
}
