/** What the words of a row tell the hands, one thing after the other. */
export type Act =
  /** Stitches, so many in each of so many places; `pairs` take two places each. */
  | { do: 'work'; each: number; into: Into; places: number | 'rest'; cluster?: readonly Part[]; flat?: true }
  /** Several made into one, or a pair crossed, as often as told. */
  | { do: 'take'; eats: number; makes: number }
  | { do: 'skip'; into: Into; places: number; slipped?: true }
  | { do: 'chain'; chains: number }
  /** Chains that stand for the first stitch. */
  | { do: 'stand' }
  | { do: 'repeat'; of: readonly Act[]; times: number | 'rest' }
  | { do: 'wrap'; times: number }
  | { do: 'other-side' }
  | { do: 'row-ends' }
  | { do: 'in-loop' }
  | { do: 'close-loop'; chains: number }
  | { do: 'across'; chains: number }
  | { do: 'leave'; places: number }
  | { do: 'nothing' };

export type Into = 'stitch' | 'chain' | 'space' | 'gap' | 'pair' | 'row-end' | 'top' | 'any' | 'none';
type Part = { stitches: number } | { chains: number };

const STITCH =
  '(?:(?:wrapped |linked )?(?:reverse )?(?:single|half double|double|treble) crochet(?: in the back loop only| in the front loop only)?|spike stitch|slip stitch(?:es)?|bobble)';
const PLACE: Readonly<Record<string, Into>> = {
  stitch: 'stitch',
  chain: 'chain',
  space: 'space',
  'row end': 'row-end',
  row: 'any',
  'free loop': 'any',
};
const placeOf = (word: string): Into => {
  const one = word.replace(/^stitches$/, 'stitch').replace(/s$/, '');
  const place = PLACE[one];
  if (place === undefined) throw new Error(`no such place: ${word}`);
  return place;
};
const NOUN = '(stitch(?:es)?|chains?|spaces?|row ends?|rows?|free loops?)';
const count = (word: string | undefined) => (word === undefined ? 1 : Number(word));
const timesOf = (word: string) => ({ once: 1, twice: 2 })[word] ?? Number(word.replace(' times', ''));

type Form = readonly [RegExp, (found: readonly (string | undefined)[]) => Act | readonly Act[]];
const form = (words: string, act: Form[1]): Form => [new RegExp(`^${words.replaceAll('STITCH', STITCH)}$`, 'i'), act];
const work = (each: number, into: Into, places: number | 'rest'): Act => ({ do: 'work', each, into, places });

/** How patterns tell it, at length and short; the first that fits. */
const FORMS: readonly Form[] = [
  form('chain (\\d+) \\(counts as (?:a )?stitch\\)', () => ({ do: 'stand' })),
  form('chain (\\d+),?', ([, n]) => ({ do: 'chain', chains: Number(n) })),
  // a loop for a button is not counted, and nothing is worked into it
  form('chain (\\d+) for (?:the )?loop(?: and slip stitch in(?:to)? (?:the )?stitch just made)?', () => ({
    do: 'nothing',
  })),
  form('chain (\\d+) to begin', () => ({ do: 'nothing' })),
  form('chain-(\\d+) (?:loop|space)', ([, n]) => ({ do: 'chain', chains: Number(n) })),
  // upon the foundation chain, counted from the hook
  form(
    `STITCH in (?:the )?(\\d+)\\w\\w chain from (?:the )?hook(?: \\((the \\d+ skipped chains? counts?|chains before it count) as (?:the first |a )?stitch\\))?(?: and in (?:(?:each of )?(?:the )?next (\\d+) chains?|(each chain across)))?`,
    ([, nth, stands, more, all]) => [
      { do: 'skip', into: 'chain', places: Number(nth) - 1 },
      ...(stands ? [{ do: 'stand' } as const] : []),
      work(1, 'chain', 1),
      ...(all ? [work(1, 'chain', 'rest')] : []),
      ...(more !== undefined ? [work(1, 'chain', Number(more))] : []),
    ],
  ),
  form(
    `STITCH in (?:the )?(\\d+)\\w\\w chain from (?:the )?hook(?: \\((the \\d+ skipped chains? counts?|chains before it count) as (?:the first |a )?stitch\\))? and in (?:the )?next chain`,
    ([, nth, stands]) => [
      { do: 'skip', into: 'chain', places: Number(nth) - 1 },
      ...(stands ? [{ do: 'stand' } as const] : []),
      work(1, 'chain', 2),
    ],
  ),
  form(`(?:(\\d+) )?STITCH in each (stitch|chain) (?:across|around)`, ([, n, place]) =>
    work(count(n), placeOf(place!), 'rest'),
  ),
  form(
    `(?:(\\d+) )?STITCH in each of (?:the )?next (\\d+) ${NOUN}(?: and in (the top of the turning chain))?`,
    ([, n, places, place, top]) => [
      work(count(n), placeOf(place!), Number(places)),
      ...(top ? [work(1, 'top', 1)] : []),
    ],
  ),
  form(
    `(?:(\\d+) )?STITCH in (?:the )?next (?:(\\d+) )?${NOUN}(?: and in (the top of the turning chain))?`,
    ([, n, places, place, top]) => [
      work(count(n), placeOf(place!), count(places)),
      ...(top ? [work(1, 'top', 1)] : []),
    ],
  ),
  form('STITCH in (?:the )?top of (?:the )?turning chain', () => work(1, 'top', 1)),
  form('(?:the last of them in the top of the turning chain|ending on top of (?:the )?turning chain)', () => ({
    do: 'nothing',
  })),
  form(
    '(?:(\\d+) )?STITCH in (?:the )?gap before (?:(?:the )?next group|each of (?:the )?next (\\d+) groups)',
    ([, n, groups]) => work(count(n), 'gap', count(groups)),
  ),
  form('(?:(\\d+) )?STITCH in (?:the )?gap after (?:the )?last group', ([, n]) => work(count(n), 'none', 1)),
  form(
    '(?:(\\d+) )?STITCH in (?:the )?middle of (?:the next pair|each of (?:the )?next (\\d+) pairs)',
    ([, n, pairs]) => work(count(n), 'pair', count(pairs)),
  ),
  form('(?:(\\d+) )?STITCH in middle of next pair', ([, n]) => work(count(n), 'pair', 1)),
  form(
    '(?:(\\d+) )?STITCH (?:into the ring|in ring|round the end of the strip|in the second chain from the hook|in (?:the )?2nd chain from (?:the )?hook|where the round began)',
    ([, n]) => work(count(n), 'none', 1),
  ),
  form('\\(?(\\d+) STITCH\\)? in (?:the )?corner space (?:you stand at|before join)', ([, n]) =>
    work(Number(n), 'none', 1),
  ),
  form('(?:(\\d+) )?STITCH in the chain that row 1 went into', ([, n]) => work(count(n), 'none', 1)),
  form('STITCH (\\d+) together(?: (\\d+) times)?', ([, over, times]) => ({
    do: 'repeat',
    of: [{ do: 'take', eats: Number(over), makes: 1 }],
    times: count(times),
  })),
  form('(\\d+) crossed STITCH pairs?', ([, pairs]) => ({
    do: 'take',
    eats: 2 * Number(pairs),
    makes: 2 * Number(pairs),
  })),
  form('STITCH in the next', () => work(1, 'stitch', 1)),
  form('STITCH in the one skipped', () => ({ do: 'take', eats: 0, makes: 1 })),
  form('wrapped STITCH around the post of the one just made', () => ({ do: 'wrap', times: 1 })),
  form('(\\d+) STITCH around post of stitch just made', ([, n]) => ({ do: 'wrap', times: Number(n) })),
  form(`skip (?:the )?(?:next )?(\\d+)?(?: ?${NOUN})?`, ([, n, place]) => ({
    do: 'skip',
    into: place === undefined ? 'stitch' : placeOf(place),
    places: count(n),
  })),
  form('rotate \\(do not turn over\\) and work along the other side of the foundation chain', () => ({
    do: 'other-side',
  })),
  form('rotate to other side of chain \\(\\d+ chains?\\)', () => ({ do: 'other-side' })),
  form('go down (?:the|\\d+) row ends of (?:the )?strip and up (?:those|\\d+) of (?:its )?other side', () => ({
    do: 'row-ends',
  })),
  form('begin with the loop you stand in as the next space', () => ({ do: 'in-loop' })),
  form('(?:begin|begin, beginning) in loop you are in', () => ({ do: 'in-loop' })),
  form('STITCH in the first stitch to close the last loop', () => ({ do: 'close-loop', chains: 0 })),
  form('close last loop with chain (\\d+) and STITCH in first stitch', ([, n]) => ({
    do: 'close-loop',
    chains: Number(n),
  })),
  form('join with a slip stitch to (?:the first stitch|the top of the chain that began the round)', () => ({
    do: 'nothing',
  })),
  form('slip stitch in (?:first stitch|top of begin(?:, beginning|ning)? chain) to join', () => ({ do: 'nothing' })),
  form('chain (\\d+) and (?:join with a slip stitch to the|slip stitch in) other end of (?:the )?row', ([, n]) => ({
    do: 'across',
    chains: Number(n),
  })),
  form('slip stitch along (?:the )?next (\\d+) stitch(?:es)? \\(not counted\\)', ([, n]) => ({
    do: 'skip',
    into: 'stitch',
    places: Number(n),
    slipped: true,
  })),
  form('leave (?:the remaining|next) (\\d+) stitch(?:es)? unworked', ([, n]) => ({ do: 'leave', places: Number(n) })),
  form(
    '(?:with the pocket laid flat|lay flat and) STITCH through both layers in (?:each of )?(?:the )?next (\\d+) pairs? of stitches',
    ([, n]) => ({ do: 'work', each: 1, into: 'pair', places: Number(n), flat: true }),
  ),
  form('row \\d+ of “[^”]*” over (?:next )?(\\d+) (stitch(?:es)?|chains?)(?: \\(.*\\))?', ([, n, place]) =>
    work(1, placeOf(place!), Number(n)),
  ),
  form(
    'along (?:the|\\d+) (?:free )?loops (?:of that round|of (?:the )?next round down|that the next round down leaves free)',
    () => ({ do: 'nothing' }),
  ),
  form('beginning chain to join', () => ({ do: 'nothing' })),
  form(
    'STITCH in (?:the stitch (?:that lies \\d+ on from where it began|it began at)|the place it began at|the top end of the (?:left|right) side edge)',
    () => ({ do: 'nothing' }),
  ),
  form('turn', () => ({ do: 'nothing' })),
];

/** Several things in one place: “(double crochet, chain 1, double crochet)”. */
const CLUSTER = new RegExp(`^\\((.*)\\) (?:in|round|where) ?(.*)$`, 'i');
const PART = new RegExp(`^(?:(\\d+) )?(${STITCH})$`, 'i');

function clusterOf(text: string): Act | undefined {
  const found = CLUSTER.exec(text);
  if (!found) return undefined;
  const parts = found[1]!.split(', ').map((part): Part | undefined => {
    const chain = /^chain (\d+)$/i.exec(part);
    if (chain) return { chains: Number(chain[1]) };
    const stitch = PART.exec(part);
    return stitch ? { stitches: /^slip/i.test(stitch[2]!) ? 0 : count(stitch[1]) } : undefined;
  });
  if (parts.some((part) => part === undefined)) return undefined;
  const cluster = parts as Part[];
  const places = /^(?:each of )?(?:the )?next (?:(\d+) )?(stitch(?:es)?|chains?|spaces?|row ends?)$/i.exec(found[2]!);
  if (places) return { do: 'work', each: 0, into: placeOf(places[2]!), places: count(places[1]), cluster };
  if (
    /^(to )?(the ring|ring|(the )?end of (the )?strip|(the )?(round|rnd) began|(the )?corner space (you stand at|before join))$/i.test(
      found[2]!,
    )
  )
    return { do: 'work', each: 0, into: 'none', places: 1, cluster };
  return undefined;
}

/** Parts between separators that stand in no brackets. */
export function apart(text: string, by: string): string[] {
  let depth = 0;
  let from = 0;
  const parts: string[] = [];
  for (let at = 0; at < text.length; at += 1) {
    if ('(['.includes(text[at]!)) depth += 1;
    if (')]'.includes(text[at]!)) depth -= 1;
    if (depth === 0 && text.startsWith(by, at)) {
      parts.push(text.slice(from, at).trim());
      from = at + by.length;
    }
  }
  return [...parts, text.slice(from).trim()].filter((part) => part !== '');
}

/**
 * The words of one course as what is done.
 * @throws Error naming the words that are not understood
 */
export function actsOf(text: string): Act[] {
  const starred = /^(.*?)\*(.*?); rep(?:eat)? from \* (?:across|around)(?:, (.*))?$/i.exec(text);
  if (starred)
    return [
      ...actsOf(starred[1]!.replace(/, $/, '')),
      { do: 'repeat', of: actsOf(starred[2]!), times: 'rest' },
      ...actsOf(starred[3] ?? ''),
    ];
  const parts = apart(text.replace(/,$/, ''), ', ');
  const acts: Act[] = [];
  for (const part of parts) {
    const repeat = /^\[(.*)\] (once|twice|\d+ times)$/i.exec(part);
    if (repeat) acts.push({ do: 'repeat', of: actsOf(repeat[1]!), times: timesOf(repeat[2]!) });
    else acts.push(...oneOf(part));
  }
  return acts;
}

const known = new Map<string, readonly Act[]>();

function oneOf(part: string): readonly Act[] {
  const before = known.get(part);
  if (before) return before;
  const cluster = clusterOf(part);
  const acts = cluster ? [cluster] : formsOf(part);
  known.set(part, acts);
  return acts;
}

function formsOf(part: string): readonly Act[] {
  for (const [words, act] of FORMS) {
    const found = words.exec(part);
    if (!found) continue;
    const acts = act(found);
    return Array.isArray(acts) ? (acts as readonly Act[]) : [acts as Act];
  }
  throw new Error(`not understood: ${part}`);
}
