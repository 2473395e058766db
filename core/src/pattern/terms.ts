import { baseStitch, stitchDefinition } from '../craft/fabric';
import { tellLength } from '../base/units';
import type { Schools } from './schools';

/** Craft words and abbreviations that differ. */
const WORDS: Readonly<Record<string, { US: string; UK: string }>> = {
  skip: { US: 'skip', UK: 'miss' },
  skipped: { US: 'skipped', UK: 'missed' },
  gauge: { US: 'gauge', UK: 'tension' },
  over: { US: 'yarn over', UK: 'yarn round hook' },
  yo: { US: 'yo', UK: 'yrh' },
  sk: { US: 'sk', UK: 'miss' },
  ss: { US: 'sl st', UK: 'ss' },
  sc: { US: 'sc', UK: 'dc' },
  hdc: { US: 'hdc', UK: 'htr' },
  dc: { US: 'dc', UK: 'tr' },
  tr: { US: 'tr', UK: 'dtr' },
};

const CAPITAL = /^[A-Z]/;

/** What one stitch of a kind is called. */
function stitchName(id: string): { US: string; UK: string } | undefined {
  const definition = stitchDefinition(id);
  return definition ? (definition.one ?? definition.name) : baseStitch(id)?.name;
}

/** A stitch or craft word in the chosen terms, with a capital where it is asked for with one; a word that does not differ is itself. */
export function term(id: string, terms: Schools['terms']): string {
  const found = (WORDS[id] ?? stitchName(id))?.[terms];
  if (found !== undefined || !CAPITAL.test(id)) return found ?? id;
  return term(
    id.replace(CAPITAL, (first) => first.toLowerCase()),
    terms,
  ).replace(/^./, (first) => first.toUpperCase());
}

const MIRRORED: Readonly<Record<string, string>> = {
  left: 'right',
  right: 'left',
  clockwise: 'anticlockwise',
  anticlockwise: 'clockwise',
};

/**
 * Fills the tokens of a text: `{single}` becomes the stitch's name, `{mm:62.3}` the length in the chosen unit, `{cut:525}` a
 * length to cut, rounded up, `{side:left}` the side as it is for the hand that works.
 */
export function wordText(
  text: string,
  { terms, units, hand = 'right' }: Pick<Schools, 'terms' | 'units'> & Partial<Pick<Schools, 'hand'>>,
): string {
  let said = '';
  let done = 0;
  for (let open = text.indexOf('{'); open >= 0; open = text.indexOf('{', done)) {
    const close = text.indexOf('}', open);
    if (close < 0) break;
    const token = text.slice(open + 1, close);
    said += text.slice(done, open);
    said += tellLength(token, units) ?? tellWord(token, terms, hand);
    done = close + 1;
  }
  return done === 0 ? text : said + text.slice(done);
}

function tellWord(token: string, terms: Schools['terms'], hand: Schools['hand']): string {
  return token.startsWith('side:') ? sideFor(token.slice(5), hand) : term(token, terms);
}

function sideFor(side: string, hand: Schools['hand']): string {
  return hand === 'left' ? (MIRRORED[side] ?? side) : side;
}
