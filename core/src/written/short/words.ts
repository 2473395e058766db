import { BASES, STITCHES } from '../../craft/fabric';
import { term, wordText, type Schools } from '../../pattern';
import { techniqueOfStitch } from '../../pattern/techniques';

type Terms = Schools['terms'];

/** The words of the short voice in one language, both ways. */
export interface ShortWords {
  /** A stitch id as it is abbreviated. */
  stitch: (id: string) => string;
  /** What an abbreviation stands for; itself where it is none. */
  meant: (abbreviation: string) => string;
  sk: string;
  ss: string;
  skipped: string;
}

const known = new Map<Terms, ShortWords>();

/** The abbreviations of a language. */
export function shortWords(terms: Terms): ShortWords {
  const before = known.get(terms);
  if (before) return before;
  const ids = [...Object.keys(BASES), ...STITCHES.map(({ id }) => id)];
  const abbreviated = new Map(ids.map((id) => [id, abbreviationOf(id, terms)] as const));
  const back = new Map([...abbreviated].map(([id, short]) => [short.toLowerCase(), id] as const));
  const words: ShortWords = {
    stitch: (id) => abbreviated.get(id) ?? term(id, terms),
    meant: (short) => back.get(short.toLowerCase()) ?? short,
    sk: term('sk', terms),
    ss: term('ss', terms),
    skipped: term('skipped', terms),
  };
  known.set(terms, words);
  return words;
}

function abbreviationOf(id: string, terms: Terms): string {
  const { abbreviation } = techniqueOfStitch(id) ?? {};
  return abbreviation ? wordText(abbreviation, { terms, units: 'mm' }) : term(id, terms);
}
