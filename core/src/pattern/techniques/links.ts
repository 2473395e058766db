import { wordText, type Schools } from '..';
import type { Technique } from './definition';
import { TECHNIQUES } from './techniques';

/** A part of a text, with the technique it names. */
export interface Linked {
  text: string;
  technique?: string;
}

type Terms = Schools['terms'];

interface Finder {
  pattern: RegExp;
  of: ReadonlyMap<string, string>;
}

const finders = new Map<Terms, Finder>();

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** How texts in these terms speak of a technique: its name, its abbreviation, its other words. */
export function spokenOf({ name, abbreviation, words }: Technique, terms: Terms): string[] {
  return [name, ...(abbreviation ? [abbreviation] : []), ...words].map((word) =>
    wordText(word, { terms, units: 'mm' }).toLowerCase(),
  );
}

function finderFor(terms: Terms): Finder {
  const known = finders.get(terms);
  if (known) return known;
  const of = new Map(TECHNIQUES.flatMap((one) => spokenOf(one, terms).map((word) => [word, one.id] as const)));
  // the longest words first, so that “whip stitch” is not the whip of something else; what stands in quotes is a name
  const longest = [...of.keys()].sort((a, b) => b.length - a.length).map(escaped);
  const finder = { pattern: new RegExp(`“[^”]*”|(?<![\\w-])(?:${longest.join('|')})(?![\\w-])`, 'gi'), of };
  finders.set(terms, finder);
  return finder;
}

/**
 * A worded text in parts, so that every craft term in it can be opened where it stands.
 *
 * @param text in the reader's terms, its tokens filled
 * @returns parts that make up the whole text, in order
 */
export function linksIn(text: string, terms: Terms): Linked[] {
  const { pattern, of } = finderFor(terms);
  const parts: Linked[] = [];
  let done = 0;
  for (const found of text.matchAll(pattern)) {
    if (found[0].startsWith('“')) continue;
    if (found.index > done) parts.push({ text: text.slice(done, found.index) });
    parts.push({ text: found[0], technique: of.get(found[0].toLowerCase())! });
    done = found.index + found[0].length;
  }
  return done < text.length ? [...parts, { text: text.slice(done) }] : parts;
}

/** The techniques that texts speak of, in the order of the list, each once. */
export function techniquesIn(texts: readonly string[], terms: Terms): Technique[] {
  const named = new Set(texts.flatMap((text) => linksIn(text, terms).map(({ technique }) => technique)));
  return TECHNIQUES.filter(({ id }) => named.has(id));
}

/** A technique by its id; undefined where there is none. */
export const techniqueOf = (id: string): Technique | undefined => TECHNIQUES.find((one) => one.id === id);

/** The technique a stitch of rows is; undefined for a pattern of the maker's own. */
export const techniqueOfStitch = (stitch: string): Technique | undefined =>
  TECHNIQUES.find((one) => one.stitch === stitch);

/** Techniques whose names or words hold all that was typed; all of them where nothing was. */
export function findTechniques(typed: string, terms: Terms): readonly Technique[] {
  const asked = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (asked.length === 0) return TECHNIQUES;
  return TECHNIQUES.filter((one) => {
    const said = [...spokenOf(one, terms), ...(one.also ?? [])].join(' ').toLowerCase();
    return asked.every((word) => said.includes(word));
  });
}
