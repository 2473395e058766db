import { capital } from '../base/units';
import { term, wordText, type Schools } from '../pattern';
import { stepsOf, TECHNIQUES, techniquesIn, type Technique } from '../pattern/techniques';
import type { Voice } from './told';

/** An abbreviation and what it stands for. */
export interface Abbreviation {
  short: string;
  name: string;
}

/** A stitch spelled out. */
export interface SpecialStitch {
  id: string;
  name: string;
  text: string;
}

type Reads = Pick<Schools, 'terms' | 'units' | 'hand'>;

/** What is abbreviated besides techniques; tokens are filled in the reader’s terms. */
const PLAIN: readonly Abbreviation[] = [
  { short: 'beg', name: 'begin, beginning' },
  { short: 'ch', name: 'chain' },
  { short: 'chs', name: 'chains' },
  { short: 'FO', name: 'fasten off' },
  { short: 'lp', name: 'loop' },
  { short: 'lps', name: 'loops' },
  { short: 'pm', name: 'place a stitch marker' },
  { short: 'rep', name: 'repeat' },
  { short: 'rnd', name: 'round' },
  { short: 'RS', name: 'right side' },
  { short: '{sk}', name: '{skip}' },
  { short: 'sp', name: 'space' },
  { short: 'sps', name: 'spaces' },
  { short: 'st', name: 'stitch' },
  { short: 'sts', name: 'stitches' },
  { short: 'tch', name: 'turning chain' },
  { short: 'WS', name: 'wrong side' },
  { short: '{yo}', name: '{over}' },
];

const whole = (word: string) => new RegExp(`(?<![\\w-])${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\w-])`, 'i');

/** What an abbreviation stands for: where it names a stitch that the technique’s name does not, the stitch’s own. */
const wholeName = ({ abbreviation = '', name, stitch }: Technique): string =>
  stitch && abbreviation.includes('{') && !name.includes('{') ? `{${stitch}}` : name;

/** The abbreviations that stand in some texts, in the order of the alphabet; only those. */
export function abbreviationsIn(texts: readonly string[], reads: Reads): Abbreviation[] {
  const all = texts.join('\n');
  const told = ({ short, name }: Abbreviation) => ({ short: wordText(short, reads), name: wordText(name, reads) });
  const known = [
    ...PLAIN.map(told),
    ...TECHNIQUES.flatMap((one) => (one.abbreviation ? [told({ short: one.abbreviation, name: wholeName(one) })] : [])),
  ];
  const found = new Map<string, Abbreviation>();
  for (const one of known)
    if (one.short !== one.name && whole(one.short).test(all) && !found.has(one.short.toLowerCase()))
      found.set(one.short.toLowerCase(), one);
  const decreases = decreasesIn(all, reads);
  return [...found.values(), ...decreases.filter(({ short }) => !found.has(short))].sort((a, b) =>
    a.short.toLowerCase().localeCompare(b.short.toLowerCase()),
  );
}

/** Decreases over more than two, as they come: dc3tog. */
function decreasesIn(all: string, { terms }: Reads): Abbreviation[] {
  const short = term('sc', terms);
  const overs = new Set([...all.matchAll(new RegExp(`\\b${short}(\\d+)tog\\b`, 'gi'))].map(([, over]) => over!));
  overs.delete('2');
  return [...overs].map((over) => ({
    short: `${short}${over}tog`,
    name: `${term('single', terms)} ${over} together`,
  }));
}

const isSpecial = ({ family, moves, everyday }: Technique) =>
  !everyday && (family === 'stitch' || (moves !== undefined && family !== 'edging'));

/** The stitches some texts speak of that not every reader knows, each spelled out. */
export function specialIn(texts: readonly string[], voice: Voice, reads: Reads): SpecialStitch[] {
  return techniquesIn(texts, reads.terms)
    .filter(isSpecial)
    .map((one) => ({
      id: one.id,
      name: capital(wordText(one.name, reads)),
      text: wordText(spelled(one, voice), reads),
    }));
}

function spelled(technique: Technique, voice: Voice): string {
  const steps = stepsOf(technique).map((step) => step[voice]);
  return voice === 'full' ? steps.join(' ') : `${steps.join(', ')}.`;
}
