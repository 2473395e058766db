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
  if (first?.do === 'skip' && first.into === 'chain' && second?.do === 'work' && second.into === 'chain') {
    const rest = list.slice(2);
    const others = second.times > 2 && rest.every(isJoin) ? way : second.times - 1;
    const start = FROM_THE_HOOK.write(words.stitch(second.stitch), first.times, first.counts === true, others);
    return [start, ...writeMiddle(rest, way, words)];
  }
  if (first?.do === 'turning-chain' && first.counts) return writeCounted(list, way, words);
  if (first?.do === 'turning-chain') return [beginning(first, second, words), ...writeBody(list.slice(1), way, words)];
  return writeBody(list, way, words);
}

/** Chains that begin a row; said at length where what follows could be taken for what they span. */
function beginning(
  first: Extract<Instruction, { do: 'turning-chain' }>,
  next: Instruction | undefined,
  words: ShortWords,
) {
  return next?.do === 'skip' && next.times === first.chains ? writeShort(first, words) : `ch ${first.chains}`;
}

/** Upon a counted chain the last stitch goes into the top of that below. */
function writeCounted(list: readonly Instruction[], way: Way, words: ShortWords): string[] {
  const last = list.at(-1)!;
  if (last.do !== 'work' || last.into !== 'stitch') return writeMiddle(list, way, words);
  const fewer = { ...last, times: last.times - 1 };
  const top = ON_THE_CHAIN.write(words.stitch(last.stitch));
  if (fewer.times === 0) return [...writeMiddle(list.slice(0, -1), way, words), top];
  const before = list.slice(0, -1);
  return before.every(({ do: what }) => what === 'turning-chain' || what === 'skip')
    ? [...writeMiddle(before, way, words), TO_THE_END.write(words.stitch(last.stitch), 'st', way), top]
    : [...writeMiddle([...before, fewer], way, words), top];
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
