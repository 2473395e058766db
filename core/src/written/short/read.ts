import type { Instruction } from '../../craft/fabric';
import { mergedCourse, type Schools } from '../../pattern';
import type { WorkedPlace } from '../../pattern/referee';
import { FROM_THE_HOOK, ON_THE_CHAIN, readShortOne, TO_THE_END, UNTOLD } from './forms';
import { shortWords, type ShortWords } from './words';

/** As many as fill the course: known once all the others are. */
const TO_END = -1;

/**
 * Reads a row or round of the short voice back into what it tells the hands, as a maker does with the row below in hand:
 * what goes “across” or “around” goes as far as there are places, and a loop of chains spans what is left out under it.
 *
 * @param text without its label and its count
 * @param below the places it is worked into
 * @throws Error naming the words that cannot be read
 */
export function readShort(
  text: string,
  { terms }: Pick<Schools, 'terms'>,
  below: readonly WorkedPlace[],
): Instruction[] {
  const words = shortWords(terms);
  const bare = text.replace(/, turn\.?$/, '').replace(/\.$/, '');
  const read = partsOf(bare).flatMap((part, index, all) => readPart(part, index, all, words));
  return spanned(mergedCourse(filled(read, below)), below);
}

/** Parts between commas that stand in no brackets and no repeat. */
function partsOf(text: string): string[] {
  const parts: string[] = [];
  let [depth, from, starred] = [0, 0, false];
  for (let at = 0; at < text.length; at += 1) {
    const letter = text[at]!;
    if ('([“'.includes(letter)) depth += 1;
    if (')]”'.includes(letter)) depth -= 1;
    if (letter === '*' && text.slice(at - 9, at) !== 'rep from ') starred = true;
    if (letter === ';') starred = false;
    if (letter !== ',' || depth > 0 || starred) continue;
    parts.push(text.slice(from, at).trim());
    from = at + 1;
  }
  return [...parts, text.slice(from).trim()];
}

function readPart(part: string, index: number, all: readonly string[], words: ShortWords): Instruction[] {
  const repeated = /^\[(.+)\] (\d+) times$/.exec(part) ?? /^\*(.+); rep from \* (?:across|around)$/.exec(part);
  if (repeated) {
    const of = mergedCourse(partsOf(repeated[1]!).flatMap((one) => readPart(one, 1, [], words)));
    return [{ do: 'repeat', of, times: repeated[2] ? Number(repeated[2]) : TO_END }];
  }
  const chains = /^ch (\d+)$/i.exec(part);
  // chains that begin a course bring the hook up, unless they lead over as many places left out
  if (chains && index === begins(all) && !leadsOver(all[index + 1], Number(chains[1])))
    return [{ do: 'turning-chain', chains: Number(chains[1]), counts: false }];
  const fromHook = FROM_THE_HOOK.reads.exec(part);
  if (fromHook)
    return [
      { do: 'skip', times: Number(fromHook[2]) - 1, into: 'chain', ...(fromHook[3] ? { counts: true } : {}) },
      { do: 'work', stitch: words.meant(fromHook[1]!), times: 1, into: 'chain' },
      ...othersOf(fromHook, words),
    ];
  const top = ON_THE_CHAIN.reads.exec(part);
  if (top) return [{ do: 'work', stitch: words.meant(top[1]!), times: 1, into: 'stitch' }, { do: 'last-in-top' }];
  const toEnd = TO_THE_END.reads.exec(part);
  if (toEnd)
    return [
      {
        do: 'work',
        stitch: words.meant(toEnd[1]!),
        times: TO_END,
        into: toEnd[2]!.toLowerCase() === 'ch' ? 'chain' : 'stitch',
      },
    ];
  return [readShortOne(part, words)];
}

/** The stitches after the first upon a chain: so many, or to its end. */
function othersOf([, stitch, , , toEnd, count, some]: RegExpExecArray, words: ShortWords): Instruction[] {
  if (!toEnd && !some) return [];
  const times = toEnd ? TO_END : Number(count ?? 1);
  return [{ do: 'work', stitch: words.meant(stitch!), times, into: 'chain' }];
}

/** Where a course begins: slip stitches back along it come before. */
const begins = (all: readonly string[]): number => (/^(sl st|ss) along /i.test(all[0] ?? '') ? 1 : 0);

const leadsOver = (next: string | undefined, chains: number): boolean =>
  new RegExp(`^(sk|miss) next ${chains === 1 ? '' : `${chains} `}(sts?|chs?)$`, 'i').test(next ?? '');

/** How many places below an instruction uses up. */
function usesUp(one: Instruction): number {
  switch (one.do) {
    case 'work':
      return ['ring', 'end', 'corner', 'start', 'itself'].includes(one.into) ? 0 : one.times;
    case 'along':
      return one.over;
    case 'group':
      return one.times * (one.into === 'space' ? 1 : one.over);
    case 'together':
      return one.times * one.over;
    case 'skip':
    case 'slip-along':
    case 'leave':
      return one.times;
    case 'crossed':
    case 'both-layers':
      return 2 * one.times;
    case 'own-row':
      return one.stitches;
    case 'repeat':
      return one.times * one.of.reduce((sum, inner) => sum + usesUp(inner), 0);
    default:
      return 0;
  }
}

/** What goes to the end of the course goes as often as places are left for it. */
function filled(list: readonly Instruction[], below: readonly WorkedPlace[]): Instruction[] {
  const openAt = list.findIndex((one) => 'times' in one && one.times < 0);
  if (openAt < 0) return [...list];
  const open = list[openAt] as Extract<Instruction, { times: number }>;
  const others = list.reduce((sum, one, index) => sum + (index === openAt ? 0 : usesUp(one)), 0);
  const times = (below.length - others) / usesUp({ ...open, times: 1 });
  return list.map((one, index) => (index === openAt ? ({ ...open, times } as Instruction) : one));
}

/** How far loops of chains span: what is left out under them, or as far as those below. */
function spanned(list: readonly Instruction[], below: readonly WorkedPlace[]): Instruction[] {
  const wide = below.find(({ kind, columns }) => kind === 'space' && columns > 1)?.columns;
  return list.map((one, index): Instruction => {
    if (one.do === 'repeat') return { ...one, of: spanned(one.of, below) };
    if (one.do === 'close-loop') return { ...one, spans: wide ?? leftOut(list[index - 1]) ?? UNTOLD };
    if (one.do !== 'chain') return one;
    const next = leftOut(list[index + 1]);
    // what leads over nothing juts out beyond the row
    return { ...one, spans: (one.as === 'space' ? wide : undefined) ?? next ?? one.chains };
  });
}

const leftOut = (one: Instruction | undefined): number | undefined =>
  one?.do === 'skip' && one.into !== 'space' ? one.times : undefined;
