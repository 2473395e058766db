import type { GroupPart, Instruction, Place } from '../craft/fabric';
import { capital, plural, withArticle } from '../base/units';
import { nth, rhythmWords } from './rhythm';
import type { Schools } from './schools';
import { term } from './terms';

type Terms = Schools['terms'];

/**
 * A row in words: `Chain 1 (not a stitch), single crochet in each of the next 16 stitches.` The same instructions are
 * what the referee works, so the words and the counts cannot part.
 */
export function wordRow(instructions: readonly Instruction[], { terms }: Pick<Schools, 'terms'>): string {
  const said = wordCourse(mergedCourse(instructions), terms).join(', ');
  return `${capital(said)}.`;
}

/** A course's own beginnings and ends, which are said otherwise than what stands in its middle. */
function wordCourse(instructions: readonly Instruction[], terms: Terms): string[] {
  const [first, second, ...rest] = instructions;
  if (first?.do === 'skip' && first.into === 'chain' && second?.do === 'work' && second.into === 'chain')
    return [fromTheHook(first, second, terms), ...rest.map((one) => wordInstruction(one, terms))];
  const last = instructions.at(-1);
  const before = instructions.at(-2);
  if (last?.do !== 'last-in-top' || before?.do !== 'work')
    return instructions.map((one) => wordInstruction(one, terms));
  return [...instructions.slice(0, -2).map((one) => wordInstruction(one, terms)), ontoTheChain(before, terms)];
}

/** The first stitches upon a chain, counted from the hook as makers do. */
function fromTheHook(
  skipped: Extract<Instruction, { do: 'skip' }>,
  { stitch, times }: Extract<Instruction, { do: 'work' }>,
  terms: Terms,
): string {
  const counts = skipped.counts
    ? ` (the ${plural(skipped.times, `${terms === 'US' ? 'skipped' : 'missed'} chain`)} ${skipped.times === 1 ? 'counts' : 'count'} as the first stitch)`
    : '';
  const others = times > 1 ? ` and in ${each(times - 1, 'chain')}` : '';
  return `${term(stitch, terms)} in the ${nth(skipped.times + 1)} chain from the hook${counts}${others}`;
}

/** The last stitch of a row upon one that began with a counted chain goes into that chain's top. */
function ontoTheChain({ stitch, times, into }: Extract<Instruction, { do: 'work' }>, terms: Terms): string {
  const top = 'in the top of the turning chain';
  return times > 1 ? `${term(stitch, terms)} in ${each(times - 1, into)} and ${top}` : `${term(stitch, terms)} ${top}`;
}

/** A course with equal neighbours as one instruction, as it is told and read. */
export function mergedCourse(instructions: readonly Instruction[]): Instruction[] {
  const list: Instruction[] = [];
  for (const one of instructions) {
    const before = list.at(-1);
    if (one.do === 'work' && before?.do === 'work' && before.stitch === one.stitch && before.into === one.into)
      list[list.length - 1] = { ...one, times: before.times + one.times };
    else list.push(one);
  }
  return list;
}

function wordList(instructions: readonly Instruction[], terms: Terms): string {
  return mergedCourse(instructions)
    .map((instruction) => wordInstruction(instruction, terms))
    .join(', ');
}

/** One instruction in words, to stand within a sentence. */
export function wordInstruction(one: Instruction, terms: Terms): string {
  switch (one.do) {
    case 'turning-chain':
      // that it counts is said each time; that it does not, once, where the piece begins
      return one.counts ? `chain ${one.chains} (counts as a stitch)` : `chain ${one.chains}`;
    case 'skip':
      return `${term('skip', terms)} ${plural(one.times, place(one.into, 1), place(one.into, 2))}${one.counts ? ' (counts as a stitch)' : ''}`;
    case 'work':
      return UNBOUND[one.into] !== undefined
        ? `${one.times} ${term(one.stitch, terms)} ${UNBOUND[one.into]}`.trim()
        : `${term(one.stitch, terms)} in ${each(one.times, one.into)}`;
    case 'along':
      return `${one.times} ${term(one.stitch, terms)}${one.stitch === 'slip' && one.times > 1 ? 'es' : ''} along ${plural(one.over, place(one.into, 1), place(one.into, 2))} (${rhythmWords(one.rhythm, term('skip', terms))})`;
    case 'group':
      return group(one, terms);
    case 'together':
      return `${term(one.stitch, terms)} ${one.over} together${one.times > 1 ? ` ${one.times} times` : ''}`;
    case 'chain':
      return `chain ${one.chains}`;
    case 'crossed':
      return `[${term('skip', terms)} 1, ${term(one.stitch, terms)} in the next, ${term(one.stitch, terms)} in the one ${terms === 'US' ? 'skipped' : 'missed'}] ${timesWord(one.times)}`;
    case 'wrapped':
      return `wrapped ${term(one.stitch, terms)} around the post of the one just made`;
    case 'loop':
      return one.closes === 'same-stitch'
        ? `chain ${one.chains} for the loop and ${term('slip', terms)} into the stitch just made`
        : `chain ${one.chains} for the loop`;
    case 'other-side':
      return 'rotate (do not turn over) and work along the other side of the foundation chain';
    case 'along-sides':
      return 'go down the row ends of the strip and up those of its other side';
    case 'next-ring':
      return one.first ? 'along the free loops of that round' : 'along the loops that the next round down leaves free';
    case 'mid-loop':
      return 'begin with the loop you stand in as the next space';
    case 'close-loop':
      return `${one.chains > 0 ? `chain ${one.chains}, ` : ''}${term(one.stitch, terms)} in the first stitch to close the last loop`;
    case 'last-in-top':
      return 'the last of them in the top of the turning chain';
    case 'join':
      return `join with ${withArticle(term('slip', terms))} to ${one.into ? 'the top of the chain that began the round' : 'the first stitch'}`;
    case 'chain-across':
      return `chain ${one.chains} and join with ${withArticle(term('slip', terms))} to the other end of the row`;
    case 'both-layers':
      return `with the pocket laid flat ${term(one.stitch, terms)} through both layers in each of the next ${one.times} pairs of stitches`;
    case 'slip-along':
      return `${term('slip', terms)} along the next ${plural(one.times, 'stitch', 'stitches')} (not counted)`;
    case 'anchor':
      return `${term('slip', terms)} in ${one.place}`;
    case 'leave':
      return `leave the remaining ${plural(one.times, 'stitch', 'stitches')} unworked`;
    case 'own-row':
      return `row ${one.row} of “${one.name}” over ${plural(one.stitches, place(one.into, 1), place(one.into, 2))}${one.says ? ` (${one.says})` : ''}`;
    case 'repeat':
      return `[${wordList(one.of, terms)}] ${timesWord(one.times)}`;
  }
}

const UNBOUND: Partial<Record<Place, string>> = {
  ring: 'into the ring',
  end: 'round the end of the strip',
  corner: 'in the corner space you stand at',
  start: 'where the round began',
  itself: '',
};

function timesWord(times: number): string {
  return times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`;
}

function group({ parts, into, over, times }: Extract<Instruction, { do: 'group' }>, terms: Terms): string {
  const what = parts.map((part) => wordPart(part, terms)).join(', ');
  // within brackets one of a stitch is called by its name alone
  const whole = parts.length > 1 ? `(${what.replace(/(^|, )1 /g, '$1')})` : what;
  const whither = UNBOUND[into];
  if (whither) return `${whole} ${whither}`;
  return `${whole} in ${into === 'gap' ? gaps(over, times) : each(times, into)}`;
}

function wordPart(part: GroupPart, terms: Terms): string {
  return 'stitch' in part ? `${part.count} ${term(part.stitch, terms)}` : `chain ${part.chains}`;
}

/** Worked between stitches: in the middle of a group below, or before it. */
function gaps(over: number, times: number): string {
  if (over === 0) return 'the gap after the last group';
  const [where, one] = over % 2 === 0 ? ['the middle of', 'pair'] : ['the gap before', 'group'];
  return `${where} ${times === 1 ? `the next ${one}` : `each of the next ${times} ${one}s`}`;
}

function each(times: number, into: Place): string {
  return times === 1 ? `the next ${place(into, 1)}` : `each of the next ${times} ${place(into, times)}`;
}

const PLACES: Readonly<Record<Place, readonly [one: string, many: string]>> = {
  stitch: ['stitch', 'stitches'],
  chain: ['chain', 'chains'],
  space: ['space', 'spaces'],
  gap: ['gap', 'gaps'],
  ring: ['ring', 'rings'],
  end: ['end', 'ends'],
  corner: ['corner', 'corners'],
  start: ['start', 'starts'],
  'free-loop': ['free loop', 'free loops'],
  'row-end': ['row end', 'row ends'],
  row: ['row', 'rows'],
  itself: ['stitch', 'stitches'],
};

function place(into: Place, count: number): string {
  return PLACES[into][count === 1 ? 0 : 1];
}
