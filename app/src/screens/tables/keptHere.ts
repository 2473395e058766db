import { finishOf, isFinished, type KeptEvent, type Make } from '@keep-snug/core';
import type { CsvTable, Kept, LedgerRow } from '@keep-snug/core/csv';
import type { DocumentKind } from '@keep-snug/core/documents';
import { finishedMake } from '@/data/finished';
import { byMake, documentsHere, eventsHere } from '@/data/everything';

/** What a table holds of this device. */
export async function keptHere({ id }: CsvTable): Promise<Kept[]> {
  if (id === 'log') return (await eventsHere()).map(({ seq: _seq, ...body }) => ({ body }));
  if (id === 'ledger') return ledgerHere(await eventsHere());
  return documentsHere()
    .filter(({ kind }) => kind === id)
    .map(({ id: own, held }) => ({ id: own, body: held.body }));
}

function ledgerHere(events: readonly KeptEvent[]): Kept[] {
  const own = byMake(events);
  return documentsHere()
    .filter(({ kind }) => kind === 'makes')
    .flatMap(({ id, held }) => {
      const happened = own.get(id) ?? [];
      const row = isFinished(happened) ? ledgerRow(id, held.body as Make, happened) : null;
      return row ? [{ body: row }] : [];
    });
}

function ledgerRow(make: string, body: Make, events: readonly KeptEvent[]): LedgerRow | null {
  const told = finishedMake(body, events);
  if (!told) return null;
  const { title, sizes, grams, planned, minutes, said, fits, note, finishedAt } = told;
  const { asMade = {}, minutes: typed } = finishOf(events) ?? {};
  return {
    make,
    name: title,
    finished: finishedAt,
    planned: Object.fromEntries(sizes.map(({ of, planned: mm }) => [of, toTenth(mm)])),
    asMade,
    plannedGrams: toTenth(planned.grams),
    chance: Math.round(said * 1000) / 1000,
    ...(fits === 'unsaid' ? {} : { fits }),
    ...(grams === undefined ? {} : { grams }),
    ...(minutes === undefined ? {} : { minutes: typed ?? Math.round(minutes) }),
    ...(note === undefined ? {} : { note }),
  };
}

const toTenth = (value: number): number => Math.round(value * 10) / 10;

/** Ids of what is here, by the names it goes by. */
export function namesHere(): Partial<Record<DocumentKind, Map<string, string>>> {
  const names: Partial<Record<DocumentKind, Map<string, string>>> = {};
  for (const { kind, id, held } of documentsHere()) {
    const { name, title } = held.body as { name?: string; title?: string };
    const said = name ?? title;
    if (said !== undefined) (names[kind] ??= new Map()).set(said.trim().toLowerCase(), id);
  }
  return names;
}
