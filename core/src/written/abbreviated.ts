import { BASES } from '../craft/fabric';
import { term, wordText, type Schools } from '../pattern';
import { techniqueOfStitch } from '../pattern/techniques';

type Terms = Schools['terms'];
type Swap = readonly [from: RegExp, to: string];

const swaps = new Map<Terms, readonly Swap[]>();

/** Stitches by their abbreviations, the longest names first. */
function stitchSwaps(terms: Terms): Swap[] {
  return Object.keys(BASES)
    .flatMap((id): [string, string][] => {
      const { abbreviation } = techniqueOfStitch(id) ?? {};
      return abbreviation ? [[term(id, terms), wordText(abbreviation, { terms, units: 'mm' })]] : [];
    })
    .sort(([a], [b]) => b.length - a.length)
    .map(([name, short]): Swap => [new RegExp(`\\b${name}(?:es)?\\b`, 'gi'), short]);
}

/** What else sentences say at length, in numbers that stay as they are. */
const PLAIN: readonly Swap[] = [
  [/(\d+) (sc|hdc|dc|htr|tr|dtr) together\b/g, '$2$1tog'],
  [/\b(sc|hdc|dc|htr|tr|dtr) (\d+) together\b/g, '$1$2tog'],
  [/\bin each of the next (\d+)\b/g, 'in each of next $1'],
  [/\bin the next\b/g, 'in next'],
  [/\b(first|last|next) stitch\b(?! marker)/g, '$1 st'],
  [/\bbetween stitch (\d+)/g, 'between st $1'],
  [/\b(along|after|on) stitch (?=\d)/g, '$1 st '],
  [/\bthe right side facing\b/g, 'RS facing'],
  [/\bright side facing you\b/g, 'RS facing'],
  [/\bwrong sides together\b/g, 'WS together'],
  [/\bright sides together\b/g, 'RS together'],
  [/\bwrong side up\b/g, 'WS up'],
  [/\bright side up\b/g, 'RS up'],
  [/\bright side out(?:side)?\b/g, 'RS out'],
  [/(\d+) stitches\b/g, '$1 sts'],
  [/(\d+) stitch\b(?! marker)/g, '$1 st'],
  [/(\d+) chains\b/g, '$1 chs'],
  [/(\d+) chain\b/g, '$1 ch'],
  [/\bChain (\d+)/g, 'Ch $1'],
  [/\bchain (\d+)/g, 'ch $1'],
  [/\bloops of (\d+) chs\b/g, 'ch-$1 lps'],
  [/\bloop of (\d+) chs\b/g, 'ch-$1 lp'],
  [/\bFasten off\b/g, 'FO'],
  [/\bRound (\d+)/g, 'Rnd $1'],
  [/\bround (\d+)/g, 'rnd $1'],
  [/\bPlace a stitch marker\b/g, 'Pm'],
];

function swapsFor(terms: Terms): readonly Swap[] {
  const known = swaps.get(terms);
  if (known) return known;
  const made = [...stitchSwaps(terms), ...PLAIN];
  swaps.set(terms, made);
  return made;
}

/** A sentence with what patterns abbreviate abbreviated; its numbers stay as they are. */
export function abbreviated(text: string, terms: Terms): string {
  const short = swapsFor(terms).reduce((said, [from, to]) => said.replace(from, to), text);
  return short.replace(/(^|[.!?] )([a-z])/g, (_whole, before: string, first: string) => before + first.toUpperCase());
}
