import { formatNumber } from '../../base/units';
import type { ThingEntry } from '../../craft/things';
import type { StartAsk } from './definition';

type SizesAsk = Extract<StartAsk, { kind: 'sizes' }>;

/** Round tools are no thinner and no thicker than so, mm. */
const LIMITS = { min: 0.4, max: 30 } as const;

/** So many tools at the most: a case of more is no case (handbook 4). */
const MOST = 24;

/**
 * Sizes of tools in one line, such as `2 2.5 3,5 4`: those alike become one entry of several.
 *
 * @param text numbers in mm, apart by blanks, semicolons or commas with a blank; a comma within one is its decimal point
 * @returns an entry a size, from the thinnest to the thickest as typed; with a fault those of the usual line
 */
export function readSizes(text: string, ask: SizesAsk): { value: ThingEntry[]; fault?: string } {
  const fault = faultOf(text);
  return fault === undefined ? { value: entriesOf(text, ask) } : { value: entriesOf(ask.usual, ask), fault };
}

/** One alone has nothing to be kept apart from. */
const LEAST = 2;

const wordsOf = (text: string): string[] =>
  text.split(/\s*[;/]\s*|,?\s+|,(?=\s|$)/).filter((word) => word !== '' && word !== 'mm');

const sizeOf = (word: string): number => Number(word.replace(',', '.').replace(/mm$/, ''));

function faultOf(text: string): string | undefined {
  const words = wordsOf(text.trim());
  if (words.length === 0) return 'Nothing typed yet. Write the sizes in mm, one after the other: 2 2.5 3.';
  const odd = words.find((word) => !Number.isFinite(sizeOf(word)));
  if (odd !== undefined) return `“${odd.slice(0, 20)}” is no size. Write sizes in mm, one after the other: 2 2.5 3.`;
  const out = words.find((word) => sizeOf(word) < LIMITS.min || sizeOf(word) > LIMITS.max);
  if (out !== undefined)
    return `${out} mm is no size of such a tool. Sizes from ${formatNumber(LIMITS.min)} mm to ${LIMITS.max} mm can be planned: check it.`;
  if (words.length < LEAST) return `${words[0]} alone needs no case of channels. Write ${LEAST} sizes or more.`;
  if (words.length > MOST) return `${words.length} are more than the ${MOST} that can be planned here. Leave some out.`;
  return undefined;
}

function entriesOf(text: string, { one }: SizesAsk): ThingEntry[] {
  const counts = new Map<number, number>();
  for (const word of wordsOf(text.trim())) counts.set(sizeOf(word), (counts.get(sizeOf(word)) ?? 0) + 1);
  return [...counts].map(([size, count]) => ({
    name: `${formatNumber(size, 2)} mm ${one}`,
    tip: { mm: size },
    ...(count > 1 ? { count } : {}),
  }));
}
