import { whenIdle } from '@/platform/idle';
import { smallStorage } from '@/platform/storage';

/** A card of the bench as it was last seen on this device: shown, and led on from, before anything is reckoned. */
export interface KeptCard {
  id: string;
  /** Where it leads. */
  to: string;
  title: string;
  line: string;
  next?: string;
  /** How far its tape is pulled out, and whether anything of it is done. */
  tape?: { lengthMm: number; outMm: number; marks: readonly number[] };
  begun?: boolean;
  /** What it looked like, as SVG. */
  picture?: string;
}

/** The page itself reads it too, before the program is there. */
const KEY = 'keep-snug.bench';

/** So many cards fill a screen; a picture of more letters than this is left out. */
const MOST_CARDS = 8;
const MOST_LETTERS = 60_000;

let known: ReadonlyMap<string, KeptCard> | undefined;
const seen = new Map<string, KeptCard>();
let order: readonly string[] = [];
let waits = false;

function read(): ReadonlyMap<string, KeptCard> {
  try {
    const cards = JSON.parse(smallStorage().getItem(KEY) ?? '[]') as readonly KeptCard[];
    return new Map(cards.map((card) => [card.id, card]));
  } catch {
    return new Map();
  }
}

/** The card of a make or a plan as it was last time; nothing where it was not among the first. */
export function keptCard(id: string): KeptCard | undefined {
  known ??= read();
  return known.get(id);
}

/** Whether there is anything to be seen before it is worked out. */
export const hasKept = (): boolean => (known ??= read()).size > 0;

/** A card as it is seen now. */
export function keepCard(card: KeptCard): void {
  const { picture = '', ...rest } = card;
  seen.set(card.id, picture.length > 0 && picture.length <= MOST_LETTERS ? card : rest);
  keepSoon();
}

/** What lies on the bench, the first first: what is not there any more is forgotten. */
export function keepOrder(ids: readonly string[]): void {
  order = ids.slice(0, MOST_CARDS);
  keepSoon();
}

/** Once for all that changed at a time; a storage that is full keeps what it had. */
function keepSoon(): void {
  if (waits) return;
  waits = true;
  void whenIdle().then(() => {
    waits = false;
    try {
      smallStorage().setItem(KEY, JSON.stringify(order.flatMap((id) => seen.get(id) ?? keptCard(id) ?? [])));
    } catch {
      // what was seen last time is not worth a word
    }
  });
}
