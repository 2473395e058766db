import type { GroupPart, Instruction, Place } from '../../craft/fabric';
import { nth, rhythmWords } from '../../pattern';
import { readRhythm } from './rhythm';
import type { ShortWords } from './words';

/*
 * The short voice, instruction by instruction: how each is written, and how what is written is read. Both stand in one form,
 * so that neither can change without the other.
 */

type Of<K extends Instruction['do']> = Extract<Instruction, { do: K }>;

/** What was found in the brackets of a form's pattern. */
type Found = readonly (string | undefined)[];

interface Form<K extends Instruction['do'] = Instruction['do']> {
  /** Whether it is written so; each kind’s last form takes what is left. */
  fits?: (one: Of<K>) => boolean;
  write: (one: Of<K>, words: ShortWords) => string;
  reads: RegExp;
  read: (found: Found, words: ShortWords) => Of<K>;
}

type Forms = { [K in Instruction['do']]: readonly Form<K>[] };

const PLACES: Readonly<Record<Place, readonly [one: string, many: string]>> = {
  stitch: ['st', 'sts'],
  chain: ['ch', 'chs'],
  space: ['sp', 'sps'],
  gap: ['gap', 'gaps'],
  ring: ['ring', 'rings'],
  end: ['end', 'ends'],
  corner: ['corner', 'corners'],
  start: ['start', 'starts'],
  'free-loop': ['free lp', 'free lps'],
  'row-end': ['row end', 'row ends'],
  row: ['row', 'rows'],
  itself: ['itself', 'itself'],
};

const PLACE_OF = new Map(
  Object.entries(PLACES).flatMap(([place, said]) => said.map((word) => [word, place as Place] as const)),
);

/** As patterns of expressions: a place, a number, a stitch. */
const PLACE = '(sts?|chs?|sps?|gaps?|row ends?|rows?|rings?|ends?|corners?)';
const N = '(\\d+)';
const STITCH = '([^,(]+?)';

const pattern = (...parts: string[]) => new RegExp(`^${parts.join('')}$`, 'i');
const place = (into: Place, count: number) => PLACES[into][count === 1 ? 0 : 1];
const next = (times: number, into: Place) =>
  times === 1 ? `next ${place(into, 1)}` : `next ${times} ${place(into, times)}`;
const each = (times: number, into: Place) =>
  times === 1 ? `next ${place(into, 1)}` : `each of next ${times} ${place(into, times)}`;
const placeOf = (word: string | undefined): Place => PLACE_OF.get(word!.toLowerCase())!;
const many = (times: string | undefined) => Number(times ?? 1);
const times = (count: number) => (count === 1 ? '' : ` ${count} times`);

function partsOf(parts: readonly GroupPart[], words: ShortWords): string {
  const said = parts.map((part) =>
    'stitch' in part ? `${part.count} ${words.stitch(part.stitch)}` : `ch ${part.chains}`,
  );
  // within brackets one of a stitch is called by its name alone
  return said.length > 1 ? `(${said.map((one) => one.replace(/^1 /, '')).join(', ')})` : said[0]!;
}

function readParts(text: string, words: ShortWords): GroupPart[] {
  return text
    .replace(/^\((.+)\)$/, '$1')
    .split(', ')
    .map((part): GroupPart => {
      const chain = /^ch (\d+)$/i.exec(part);
      if (chain) return { chains: Number(chain[1]), spans: 1 };
      const [, count = '1', stitch] = /^(?:(\d+) )?(.+)$/.exec(part)!;
      return { stitch: words.meant(stitch!), count: Number(count) };
    });
}

/** Places that take any number and use none up, as a group into them is written. */
const UNBOUND: Partial<Record<Place, string>> = {
  ring: 'in ring',
  end: 'in end of strip',
  corner: 'in corner sp before join',
  start: 'where rnd began',
};
const UNBOUND_OF = new Map(Object.entries(UNBOUND).map(([into, said]) => [said, into as Place] as const));
const PARTS = '(\\(.+\\)|\\d+ [^,(]+?)';
const UNBOUND_READS = `(${Object.values(UNBOUND).join('|')})`;

/** How far a loop of chains spans is seen from what is left out below it, and filled in by whoever reads (read.ts). */
export const UNTOLD = 0;

export const FORMS: Forms = {
  'turning-chain': [
    {
      fits: ({ counts }) => counts,
      write: ({ chains }) => `ch ${chains} (counts as st)`,
      reads: pattern(`ch ${N} \\(counts as st\\)`),
      read: ([chains]) => ({ do: 'turning-chain', chains: many(chains), counts: true }),
    },
    {
      write: ({ chains }) => `ch ${chains} to beg`,
      reads: pattern(`ch ${N} to beg`),
      read: ([chains]) => ({ do: 'turning-chain', chains: many(chains), counts: false }),
    },
  ],
  chain: [
    {
      fits: ({ as }) => as === 'space',
      write: ({ chains }) => `ch-${chains} ${chains > 2 ? 'lp' : 'sp'}`,
      reads: pattern(`ch-${N} (?:lp|sp)`),
      read: ([chains]) => ({ do: 'chain', chains: many(chains), spans: UNTOLD, as: 'space' }),
    },
    {
      write: ({ chains }) => `ch ${chains}`,
      reads: pattern(`ch ${N}`),
      read: ([chains]) => ({ do: 'chain', chains: many(chains), spans: UNTOLD, as: 'chains' }),
    },
  ],
  skip: [
    {
      fits: ({ counts }) => counts === true,
      write: ({ times: count, into }, { sk }) => `${sk} ${next(count, into)} (counts as st)`,
      reads: pattern(`(?:sk|miss) next (?:${N} )?${PLACE} \\(counts as st\\)`),
      read: ([count, into]) => ({ do: 'skip', times: many(count), into: placeOf(into), counts: true }),
    },
    {
      write: ({ times: count, into }, { sk }) => `${sk} ${next(count, into)}`,
      reads: pattern(`(?:sk|miss) next (?:${N} )?${PLACE}`),
      read: ([count, into]) => ({ do: 'skip', times: many(count), into: placeOf(into) }),
    },
  ],
  group: [
    {
      fits: ({ into }) => UNBOUND[into] !== undefined,
      // in brackets even where it is of one stitch: all of it goes into the one place
      write: ({ parts, into }, words) => `(${partsOf(parts, words).replace(/^\((.+)\)$/, '$1')}) ${UNBOUND[into]}`,
      reads: pattern(`(\\(.+\\)) ${UNBOUND_READS}`),
      read: ([parts, into], words) => ({
        do: 'group',
        parts: readParts(parts!, words),
        over: 0,
        into: UNBOUND_OF.get(into!.toLowerCase())!,
        times: 1,
      }),
    },
    {
      fits: ({ into, over }) => into === 'gap' && over === 0,
      write: ({ parts }, words) => `${partsOf(parts, words)} in gap after last group`,
      reads: pattern(`${PARTS} in gap after last group`),
      read: ([parts], words) => ({ do: 'group', parts: readParts(parts!, words), over: 0, into: 'gap', times: 1 }),
    },
    {
      fits: ({ into, over }) => into === 'gap' && over === 2,
      write: ({ parts, times: count }, words) =>
        `${partsOf(parts, words)} in middle of ${count === 1 ? 'next pair' : `each of next ${count} pairs`}`,
      reads: pattern(`${PARTS} in middle of (?:next pair|each of next ${N} pairs)`),
      read: ([parts, count], words) => ({
        do: 'group',
        parts: readParts(parts!, words),
        over: 2,
        into: 'gap',
        times: many(count),
      }),
    },
    {
      fits: ({ into }) => into === 'gap',
      write: ({ parts, times: count }, words) =>
        `${partsOf(parts, words)} in gap before ${count === 1 ? 'next group' : `each of next ${count} groups`}`,
      reads: pattern(`${PARTS} in gap before (?:next group|each of next ${N} groups)`),
      read: ([parts, count], words) => ({
        do: 'group',
        parts: readParts(parts!, words),
        over: 3,
        into: 'gap',
        times: many(count),
      }),
    },
    {
      write: ({ parts, times: count, into }, words) => `${partsOf(parts, words)} in ${each(count, into)}`,
      reads: pattern(`${PARTS} in (?:each of )?next (?:${N} )?${PLACE}`),
      read: ([parts, count, into], words) => ({
        do: 'group',
        parts: readParts(parts!, words),
        over: 1,
        into: placeOf(into),
        times: many(count),
      }),
    },
  ],
  together: [
    {
      write: ({ stitch, over, times: count }, words) => `${words.stitch(stitch)}${over}tog${times(count)}`,
      reads: pattern(`${STITCH}${N}tog(?: ${N} times)?`),
      read: ([stitch, over, count], words) => ({
        do: 'together',
        stitch: words.meant(stitch!),
        over: many(over),
        times: many(count),
      }),
    },
  ],
  along: [
    {
      write: ({ stitch, times: count, over, into, rhythm }, words) =>
        `${count} ${words.stitch(stitch)} along ${over} ${place(into, over)} (${rhythmWords(rhythm, 'skip')})`,
      reads: pattern(`${N} ${STITCH} along ${N} ${PLACE} \\((.+)\\)`),
      read: ([count, stitch, over, into, rhythm], words) => ({
        do: 'along',
        stitch: words.meant(stitch!),
        times: many(count),
        over: many(over),
        into: placeOf(into),
        rhythm: readRhythm(rhythm!, many(over)),
      }),
    },
  ],
  crossed: [
    {
      write: ({ stitch, times: count }, words) =>
        `${count} crossed ${words.stitch(stitch)} ${count === 1 ? 'pair' : 'pairs'}`,
      reads: pattern(`${N} crossed ${STITCH} pairs?`),
      read: ([count, stitch], words) => ({ do: 'crossed', stitch: words.meant(stitch!), times: many(count) }),
    },
  ],
  wrapped: [
    {
      write: ({ stitch, times: count }, words) => `${count} ${words.stitch(stitch)} around post of st just made`,
      reads: pattern(`${N} ${STITCH} around post of st just made`),
      read: ([count, stitch], words) => ({ do: 'wrapped', stitch: words.meant(stitch!), times: many(count) }),
    },
  ],
  loop: [
    {
      fits: ({ closes }) => closes === 'same-stitch',
      write: ({ chains }, { ss }) => `ch ${chains} for lp and ${ss} in st just made`,
      reads: pattern(`ch ${N} for lp and (?:sl st|ss) in st just made`),
      read: ([chains]) => ({ do: 'loop', chains: many(chains), closes: 'same-stitch' }),
    },
    {
      write: ({ chains }) => `ch ${chains} for lp`,
      reads: pattern(`ch ${N} for lp`),
      read: ([chains]) => ({ do: 'loop', chains: many(chains), closes: 'next-stitch' }),
    },
  ],
  'other-side': [
    {
      write: ({ chains }) => `rotate to other side of ch (${chains} chs)`,
      reads: pattern(`rotate to other side of ch \\(${N} chs\\)`),
      read: ([chains]) => ({ do: 'other-side', chains: many(chains) }),
    },
  ],
  'along-sides': [
    {
      write: ({ rows }) => `go down ${rows} row ends of strip and up ${rows} of other side`,
      reads: pattern(`go down ${N} row ends of strip and up \\d+ of other side`),
      read: ([rows]) => ({ do: 'along-sides', rows: many(rows) }),
    },
  ],
  'last-in-top': [
    {
      write: () => 'ending on top of tch',
      reads: pattern('ending on top of tch'),
      read: () => ({ do: 'last-in-top' }),
    },
  ],
  join: [
    {
      fits: ({ into }) => into === 'chain',
      write: (_one, { ss }) => `${ss} in top of beg ch to join`,
      reads: pattern('(?:sl st|ss) in top of beg ch to join'),
      read: () => ({ do: 'join', into: 'chain' }),
    },
    {
      write: (_one, { ss }) => `${ss} in first st to join`,
      reads: pattern('(?:sl st|ss) in first st to join'),
      read: () => ({ do: 'join' }),
    },
  ],
  'mid-loop': [
    { write: () => 'beg in lp you are in', reads: pattern('beg in lp you are in'), read: () => ({ do: 'mid-loop' }) },
  ],
  'close-loop': [
    {
      write: ({ chains, stitch }, words) =>
        `close last lp with ${chains > 0 ? `ch ${chains} and ` : ''}${words.stitch(stitch)} in first st`,
      reads: pattern(`close last lp with (?:ch ${N} and )?${STITCH} in first st`),
      read: ([chains, stitch], words) => ({
        do: 'close-loop',
        chains: Number(chains ?? 0),
        stitch: words.meant(stitch!),
        spans: UNTOLD,
      }),
    },
  ],
  'next-ring': [
    {
      fits: ({ first }) => first === true,
      write: ({ loops }) => `along ${loops} free lps of that rnd`,
      reads: pattern(`along ${N} free lps of that rnd`),
      read: ([loops]) => ({ do: 'next-ring', loops: many(loops), first: true }),
    },
    {
      write: ({ loops }) => `along ${loops} free lps of next rnd down`,
      reads: pattern(`along ${N} free lps of next rnd down`),
      read: ([loops]) => ({ do: 'next-ring', loops: many(loops) }),
    },
  ],
  'chain-across': [
    {
      write: ({ chains }, { ss }) => `ch ${chains} and ${ss} in other end of row`,
      reads: pattern(`ch ${N} and (?:sl st|ss) in other end of row`),
      read: ([chains]) => ({ do: 'chain-across', chains: many(chains) }),
    },
  ],
  'both-layers': [
    {
      write: ({ stitch, times: count }, words) =>
        `lay flat and ${words.stitch(stitch)} through both layers in next ${count} ${count === 1 ? 'pair' : 'pairs'} of sts`,
      reads: pattern(`lay flat and ${STITCH} through both layers in next ${N} pairs? of sts`),
      read: ([stitch, count], words) => ({ do: 'both-layers', stitch: words.meant(stitch!), times: many(count) }),
    },
  ],
  'slip-along': [
    {
      write: ({ times: count }, { ss }) => `${ss} along ${next(count, 'stitch')} (not counted)`,
      reads: pattern(`(?:sl st|ss) along next (?:${N} )?sts? \\(not counted\\)`),
      read: ([count]) => ({ do: 'slip-along', times: many(count) }),
    },
  ],
  anchor: [
    {
      write: ({ place: where }, { ss }) => `${ss} at ${where}`,
      reads: pattern('(?:sl st|ss) at (.+)'),
      read: ([where]) => ({ do: 'anchor', place: where! }),
    },
  ],
  leave: [
    {
      write: ({ times: count }) => `leave ${next(count, 'stitch')} unworked`,
      reads: pattern(`leave next (?:${N} )?sts? unworked`),
      read: ([count]) => ({ do: 'leave', times: many(count) }),
    },
  ],
  'own-row': [
    {
      write: ({ row, name, stitches, into, says }) =>
        `row ${row} of “${name}” over ${next(stitches, into)}${says ? ` (${says})` : ''}`,
      reads: pattern(`row ${N} of “(.*)” over next (?:${N} )?${PLACE}(?: \\((.+)\\))?`),
      read: ([row, name, stitches, into, says]) => ({
        do: 'own-row',
        row: many(row),
        name: name!,
        stitches: many(stitches),
        into: placeOf(into),
        ...(says ? { says } : {}),
      }),
    },
  ],
  work: [
    {
      fits: ({ into }) => into === 'ring' || into === 'end' || into === 'corner',
      write: ({ stitch, times: count, into }, words) => `${count} ${words.stitch(stitch)} ${UNBOUND[into]}`,
      reads: pattern(`${N} ${STITCH} ${UNBOUND_READS}`),
      read: ([count, stitch, into], words) => ({
        do: 'work',
        stitch: words.meant(stitch!),
        times: many(count),
        into: UNBOUND_OF.get(into!.toLowerCase())!,
      }),
    },
    {
      fits: ({ into }) => into === 'itself',
      write: ({ stitch, times: count }, words) => `${count} ${words.stitch(stitch)} of cord`,
      reads: pattern(`${N} ${STITCH} of cord`),
      read: ([count, stitch], words) => ({
        do: 'work',
        stitch: words.meant(stitch!),
        times: many(count),
        into: 'itself',
      }),
    },
    {
      write: ({ stitch, times: count, into }, words) => `${words.stitch(stitch)} in ${next(count, into)}`,
      reads: pattern(`${STITCH} in next (?:${N} )?${PLACE}`),
      read: ([stitch, count, into], words) => ({
        do: 'work',
        stitch: words.meant(stitch!),
        times: many(count),
        into: placeOf(into),
      }),
    },
  ],
  repeat: [],
};

/** One instruction in the short voice; repeats are the course’s own to write. */
export function writeShort(one: Instruction, words: ShortWords): string {
  const forms = FORMS[one.do] as readonly Form[];
  const form = forms.find(({ fits }) => !fits || fits(one as never))!;
  return form.write(one as never, words);
}

/** What is tried first when reading: what begins like another and goes on otherwise stands before it. */
const READING: readonly Instruction['do'][] = [
  'turning-chain',
  'loop',
  'next-ring',
  'chain-across',
  'chain',
  'skip',
  'last-in-top',
  'join',
  'slip-along',
  'anchor',
  'other-side',
  'along-sides',
  'mid-loop',
  'close-loop',
  'both-layers',
  'leave',
  'own-row',
  'crossed',
  'wrapped',
  'along',
  'group',
  'together',
  'work',
];

/**
 * One instruction read from the short voice.
 * @throws Error naming the words that cannot be read
 */
export function readShortOne(text: string, words: ShortWords): Instruction {
  for (const kind of READING)
    for (const { reads, read } of FORMS[kind] as readonly Form[]) {
      const found = reads.exec(text);
      if (found) return read(found.slice(1), words);
    }
  throw new Error(`cannot be read: ${text}`);
}

/** The first stitches upon a chain, counted from the hook as makers do. */
export const FROM_THE_HOOK = {
  /**
   * The first stitch, and those after it.
   *
   * @param others how many more follow in the chains after it; all of them to the end where they are not counted
   */
  write: (stitch: string, skipped: number, counts: boolean, others: number | 'across' | 'around') => {
    const rest =
      typeof others === 'number' ? (others > 0 ? ` and in ${next(others, 'chain')}` : '') : ` and in each ch ${others}`;
    return `${stitch} in ${nth(skipped + 1)} ch from hook${counts ? ' (chs before it count as st)' : ''}${rest}`;
  },
  reads: pattern(
    `${STITCH} in ${N}(?:st|nd|rd|th) ch from hook( \\(chs before it count as st\\))?(?: and in (?:(each ch) (?:across|around)|next (?:${N} )?(chs?)))?`,
  ),
};

/** The last stitch upon a row that began with a counted chain. */
export const ON_THE_CHAIN = {
  write: (stitch: string) => `${stitch} in top of tch`,
  reads: pattern(`${STITCH} in top of tch`),
};

/** One stitch in each place there is, to the end of the course. */
export const TO_THE_END = {
  write: (stitch: string, where: 'st' | 'ch', way: 'across' | 'around') => `${stitch} in each ${where} ${way}`,
  reads: pattern(`${STITCH} in each (st|ch) (?:across|around)`),
};
