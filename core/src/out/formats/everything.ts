import type { PlanFault } from '../../base/figure';
import type { MakeEvent } from '../../make/log';
import { checkDocument } from './documents';
import { checkEvents } from './events';
import { UUID } from './form';
import { DOCUMENT_KINDS, type DocumentKind, type Documents } from './kinds';

export const EVERYTHING_FORMAT = 'keep-snug.everything/1';

/** All that a house holds, as one file: each document by its id, and what happened to the makes. */
export type Everything = { [K in DocumentKind]: Record<string, Documents[K]> } & { events: MakeEvent[] };

interface ReadEverything {
  everything: Everything;
  /** What of the file could not be read, by path: it stays in the file, all else is read. */
  faults: PlanFault[];
}

type Holder = Record<string, unknown>;

/**
 * Reads a saved house. One entry that is not of its format does not keep the others out.
 * @param value the file, as JSON
 * @returns nothing where it is no such file at all
 */
export function readEverything(value: unknown): ReadEverything | undefined {
  if (!isHolder(value) || value.format !== EVERYTHING_FORMAT) return undefined;
  const faults: PlanFault[] = [];
  const read = Object.fromEntries(DOCUMENT_KINDS.map((kind) => [kind, readKind(kind, value[kind] ?? {}, faults)]));
  const events = readEvents(value.events ?? [], faults);
  return { everything: { ...read, events } as unknown as Everything, faults };
}

function isHolder(value: unknown): value is Holder {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function readKind(kind: DocumentKind, value: unknown, faults: PlanFault[]): Holder {
  if (!isHolder(value)) {
    faults.push({ path: kind, message: 'Not a list of documents by their ids. Leave it out, or save the file again.' });
    return {};
  }
  const entries = Object.entries(value).filter(([id, body]) => {
    const checked = UUID.test(id)
      ? checkDocument(kind, body)
      : { ok: false as const, errors: [{ path: 'id', message: `“${id.slice(0, 40)}” is not a UUID in lower case.` }] };
    if (!checked.ok) faults.push(...checked.errors.map((fault) => ({ ...fault, path: `${kind}.${id}.${fault.path}` })));
    return checked.ok;
  });
  return Object.fromEntries(entries);
}

const PORTION = 500;

function readEvents(value: unknown, faults: PlanFault[]): MakeEvent[] {
  if (!Array.isArray(value)) {
    faults.push({ path: 'events', message: 'Not a list of events. Leave it out, or save the file again.' });
    return [];
  }
  const portions = Array.from({ length: Math.ceil(value.length / PORTION) }, (_, index) => index * PORTION);
  return portions.flatMap((from) => {
    const portion = value.slice(from, from + PORTION) as unknown[];
    const whole = checkEvents(portion);
    if (whole.ok) return whole.value;
    return portion.flatMap((event, index) => {
      const checked = checkEvents([event]);
      if (checked.ok) return checked.value;
      faults.push(
        ...checked.errors.map(({ path, message }) => ({
          path: path.replace('[0]', `events[${from + index}]`),
          message,
        })),
      );
      return [];
    });
  });
}
