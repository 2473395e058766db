import { DOCUMENT_KINDS, type DocumentKind } from '@keep-snug/core/documents';
import { useEvents } from '@/state/events';
import { useLibrary, type LocalDocument } from '@/state/library';

const NAMES: Readonly<Record<DocumentKind, readonly [one: string, many: string]>> = {
  plans: ['plan', 'plans'],
  things: ['thing', 'things'],
  yarns: ['yarn', 'yarns'],
  swatches: ['swatch', 'swatches'],
  makes: ['make', 'makes'],
};

type Shelf = Record<string, LocalDocument<unknown>>;

const presentOn = (shelf: Shelf) => Object.entries(shelf).filter(([, held]) => !held.gone);

/** What is on this device, in words. */
export function useHeldInWords(): string {
  const shelves = useLibrary((state) => state.shelves);
  return DOCUMENT_KINDS.map((kind) => {
    const count = presentOn(shelves[kind] as Shelf).length;
    return `${count} ${NAMES[kind][count === 1 ? 0 : 1]}`;
  }).join(', ');
}

/** Everything on this device as one file's text: each document in its open format, by its id, and every event. */
export function everything(): string {
  const { shelves } = useLibrary.getState();
  const documents = DOCUMENT_KINDS.map((kind) => {
    const bodies = presentOn(shelves[kind] as Shelf).map(([id, { body }]) => [id, body]);
    return [kind, Object.fromEntries(bodies)];
  });
  const events = Object.values(useEvents.getState().byMake).flat();
  return JSON.stringify({ format: 'keep-snug.everything/1', ...Object.fromEntries(documents), events }, null, 2);
}

/** Hands everything to the browser as a file, and tells its name. */
export function saveEverything(): string {
  const name = `keep-snug-${new Date().toISOString().slice(0, 10)}.json`;
  const address = URL.createObjectURL(new Blob([everything()], { type: 'application/json' }));
  const link = document.createElement('a');
  Object.assign(link, { href: address, download: name });
  link.click();
  URL.revokeObjectURL(address);
  return name;
}
