import { fixed } from '../length';
import { NUMBER_TEXT, parseNumber } from './number';
import { notUnderstood, understood, type Amount, type Reading } from './reading';

/** Hooks as they are named: in mm, by letter and number in the United States, by number in Britain of old (as the trade's tables have them; law by convention). */
const SIZES: readonly { mm: number; letter?: string; us?: string; uk?: string }[] = [
  { mm: 2, uk: '14' },
  { mm: 2.25, letter: 'B', us: '1', uk: '13' },
  { mm: 2.5, uk: '12' },
  { mm: 2.75, letter: 'C', us: '2' },
  { mm: 3, uk: '11' },
  { mm: 3.25, letter: 'D', us: '3', uk: '10' },
  { mm: 3.5, letter: 'E', us: '4', uk: '9' },
  { mm: 3.75, letter: 'F', us: '5' },
  { mm: 4, letter: 'G', us: '6', uk: '8' },
  { mm: 4.5, us: '7', uk: '7' },
  { mm: 5, letter: 'H', us: '8', uk: '6' },
  { mm: 5.5, letter: 'I', us: '9', uk: '5' },
  { mm: 6, letter: 'J', us: '10', uk: '4' },
  { mm: 6.5, letter: 'K', us: '10 1/2', uk: '3' },
  { mm: 7, uk: '2' },
  { mm: 8, letter: 'L', us: '11', uk: '0' },
  { mm: 9, letter: 'M', us: '13', uk: '00' },
  { mm: 10, letter: 'N', us: '15', uk: '000' },
  { mm: 11.5, letter: 'P', us: '16' },
];

/** Letters that name two hooks a size apart are asked about by their number. */
const LETTERED = /^(?:us\s*)?([b-p])(?:\s*[-/ ]\s*(\d+(?:\s+1\/2|½|\.5)?))?$/i;
const NUMBERED = /^(us|uk|old uk)(?:\s*(?:no\.?|size|#))?\s*(\d+(?:\s*-?\s*1\/2|\s*½|\.5)?)$/i;
const IN_MM = new RegExp(`^(${NUMBER_TEXT})\\s*(mm)?\\.?$`, 'iu');

const EXAMPLE = '4 mm, G, US 6 or UK 8';

const half = (text: string): string => text.replace(/\s*-?\s*(?:1\/2|½)$|\.5$/, ' 1/2').trim();

/**
 * Reads a hook as it is stamped: `4`, `4 mm`, `G`, `G-6`, `US 7`, `UK 8` (the old British number).
 *
 * @returns its thickness in mm; a message that names the text and the repair. Never throws
 * @source handbook 1 (hooks by mm, letter, US number or old UK number)
 */
export function parseHook(text: string): Reading {
  const typed = text.trim();
  const lettered = LETTERED.exec(typed);
  if (lettered) return byLetter(typed, lettered[1]!.toUpperCase(), lettered[2]);
  const numbered = NUMBERED.exec(typed);
  if (numbered) {
    const of = /uk/i.test(numbered[1]!) ? 'uk' : 'us';
    const found = SIZES.find((size) => size[of] === half(numbered[2]!));
    return found ? understood(found.mm) : unknown(typed);
  }
  const [, number = ''] = IN_MM.exec(typed) ?? [];
  const read = parseNumber(number, 'ask');
  if (number.trim() === '' || !read.ok) return unknown(typed);
  return understood(read.value);
}

function byLetter(typed: string, letter: string, number: string | undefined): Reading {
  const found = SIZES.find((size) => size.letter === letter);
  if (!found) return unknown(typed);
  if (number !== undefined && found.us !== half(number))
    return notUnderstood(
      `“${typed}”: ${letter} is ${letter}-${found.us}, ${fixed(found.mm, 2)} mm. Write the mm that are stamped on the hook.`,
    );
  return understood(found.mm);
}

const unknown = (typed: string): Reading =>
  notUnderstood(`“${typed}” is not a hook known here. Write it like ${EXAMPLE}.`);

/** A hook in mm, with its US name where it has one: `4 mm (G-6)`, `4.5 mm (7)`. */
export function formatHook(mm: number): string {
  const named = SIZES.find((size) => size.mm === mm && size.us);
  const name = named && [named.letter, named.us].filter(Boolean).join('-');
  return `${fixed(mm, 2)} mm${name ? ` (${name})` : ''}`;
}

/** A hook kept in mm. */
export const HOOK: Amount = {
  example: EXAMPLE,
  read: parseHook,
  write: (mm) => `${fixed(mm, 2)} mm`,
  echo: formatHook,
};
