import type { Instruction } from '../../craft/fabric';
import { mergedCourse, type Schools } from '../../pattern';
import { FROM_THE_HOOK, ON_THE_CHAIN, TO_THE_END, writeShort } from './forms';
import { shortWords, type ShortWords } from './words';

type Way = 'across' | 'around';

/**
 * A row or round as abbreviations have it, from the same instructions as its sentences: `Ch 1, sc in each st across`.
 *
 * @param kind a row goes across, a round around
 * @source WORDING 5, handbook 14
 */
export function shortCourse(
  instructions: readonly Instruction[],
  kind: 'row' | 'round',
  { terms }: Pick<Schools, 'terms'>,
): string {
  const parts = writeCourse(mergedCourse(instructions), kind === 'row' ? 'across' : 'around', shortWords(terms));
  return parts.join(', ').replace(/^[a-z]/, (first) => first.toUpperCase());
}

function writeCourse(list: readonly Instruction[], way: Way, words: ShortWords): string[] {
  const [first, second] = list;
  const last = list.at(-1);
  if (last?.do === 'last-in-top') return writeOntoTop(list.slice(0, -1), last, way, words);
  if (first?.do === 'skip' && first.into === 'chain' && second?.do === 'work' && second.into === 'chain') {
    const rest = list.slice(2);
    const others = second.times > 2 && rest.every(isJoin) ? way : second.times - 1;
    const start = FROM_THE_HOOK.write(words.stitch(second.stitch), first.times, first.counts === true, others);
    return [start, ...writeMiddle(rest, way, words)];
  }
  if (first?.do !== 'turning-chain') return writeBody(list, way, words);
  if (!first.counts) return [beginning(first, second, words), ...writeBody(list.slice(1), way, words)];
  const skips = second?.do === 'skip' ? 2 : 1;
  return [...writeMiddle(list.slice(0, skips), way, words), ...writeBody(list.slice(skips), way, words)];
}

/** Chains that begin a row; said at length where what follows could be taken for what they span. */
function beginning(
  first: Extract<Instruction, { do: 'turning-chain' }>,
  next: Instruction | undefined,
  words: ShortWords,
) {
  return next?.do === 'skip' && next.times === first.chains ? writeShort(first, words) : `ch ${first.chains}`;
}

/** Over a counted chain the last stitch goes into its top. */
function writeOntoTop(list: readonly Instruction[], top: Instruction, way: Way, words: ShortWords): string[] {
  const last = list.at(-1)!;
  if (last.do !== 'work' || last.into !== 'stitch') return [...writeCourse(list, way, words), writeShort(top, words)];
  const onTop = ON_THE_CHAIN.write(words.stitch(last.stitch));
  const before = list.slice(0, -1);
  if (last.times === 1) return [...writeCourse(before, way, words), onTop];
  return [...writeCourse([...before, { ...last, times: last.times - 1 }], way, words), onTop];
}

const isJoin = ({ do: what }: Instruction) => what === 'join';

type Worked = Extract<Instruction, { do: 'work' }>;

/** Whether one stitch goes into each place to the end, and nothing else happens. */
const isAlone = (one: Instruction, others: readonly Instruction[]): one is Worked =>
  one.do === 'work' && (one.into === 'stitch' || one.into === 'chain') && others.every(isJoin);

function toTheEnd({ stitch, into }: Worked, rest: readonly Instruction[], way: Way, words: ShortWords): string[] {
  return [
    TO_THE_END.write(words.stitch(stitch), into === 'chain' ? 'ch' : 'st', way),
    ...writeMiddle(rest, way, words),
  ];
}

/** A course without its beginning: one stitch throughout, or one repeat throughout, or each thing as it comes. */
function writeBody(list: readonly Instruction[], way: Way, words: ShortWords): string[] {
  const [first, ...rest] = list;
  if (first && isAlone(first, rest) && first.times > 1) return toTheEnd(first, rest, way, words);
  const at = list.findIndex(({ do: what }) => what === 'repeat');
  const only = list[at];
  const repeats = list.filter(({ do: what }) => what === 'repeat').length;
  if (
    only?.do === 'repeat' &&
    repeats === 1 &&
    list.slice(at + 1).every(isJoin) &&
    !only.of.some((one) => one.do === 'repeat')
  )
    return [
      ...writeMiddle(list.slice(0, at), way, words),
      `*${writeMiddle(only.of, way, words).join(', ')}; rep from * ${way}`,
      ...writeMiddle(list.slice(at + 1), way, words),
    ];
  return writeMiddle(list, way, words);
}

function writeMiddle(list: readonly Instruction[], way: Way, words: ShortWords): string[] {
  return list.map((one) =>
    one.do === 'repeat'
      ? `[${writeMiddle(mergedCourse(one.of), way, words).join(', ')}] ${one.times} times`
      : writeShort(one, words),
  );
}
