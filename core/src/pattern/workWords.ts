import {
  beginningOf,
  borderCount,
  landmarkWords,
  liesWords,
  spotsWords,
  spotWords,
  yarnToCut,
  type Border,
  type BorderPart,
  type Free,
  type Hand,
  type Landmark,
  type Lies,
  type Seam,
  type Sewing,
  type Spot,
  type Walked,
  type Work,
} from '../piece';
import { capital, formatNumber, listed, plural } from '../base/units';
import type { Schools } from './schools';
import { term, wordText } from './terms';
import { mergedCourse, wordInstruction, wordRow } from './wording';

/**
 * Work in words: what is told is what was walked, the hook where it hangs before it.
 *
 * @param walked one piece of work, as the walk met it
 */
export function wordWork({ work, before, courses }: Walked, schools: Schools): string {
  return wordText(said(work, before, courses, schools), schools);
}

function said(work: Work, before: Hand, courses: readonly BorderPart[][], schools: Schools): string {
  switch (work.do) {
    case 'border':
      return wordBorder(work, before, courses, schools);
    case 'seam':
      return wordSeam(work);
    case 'free':
      return wordFree(work, schools);
    case 'sew':
      return wordSewing(work);
    case 'fill':
      return withPlaces(work.says, work.at);
    case 'mark':
      return wordMark(work);
    case 'level':
      return `Work on to above the first stitch of round 1, then {slip} in ${work.slips === 1 ? 'the next stitch' : `each of the next ${work.slips} stitches`} to level the step.`;
    case 'turn-through':
      return `Turn the ${work.name.toLowerCase()} inside out${before.live ? ', the loop kept on the hook' : ''}: the side that faced you comes inside.`;
    case 'empty':
      return 'Take the item out again.';
    case 'weave-in':
      if (work.pieces === 'all') return 'Weave in all ends that are left: run each along a row and back, then trim.';
      return `Weave in the ends of ${inWords(work.pieces.map(({ name }) => named(name)))} now: the next layer closes over them.`;
    case 'fold':
      return work.fold.says ?? '';
    case 'change':
      return `Draw ${work.to} through the loop on the hook, and cut the yarn it was of.`;
    case 'fasten-off':
      return work.leave === undefined
        ? 'Fasten off.'
        : `Fasten off, leaving a tail of {cut:${work.leave}} to sew with.`;
    default:
      return '';
  }
}

/** What has a number of its own is called by it, without an article. */
const named = (name: string): string => (/\d$/.test(name) ? name.toLowerCase() : `the ${name.toLowerCase()}`);

/** “a, b and c” */
const inWords = (names: readonly string[]) =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

const BACKWARDS = ' Work it from {side:left} to {side:right}, without turning.';

function wordBorder(border: Border, before: Hand, courses: readonly BorderPart[][], schools: Schools): string {
  const start = startWords(border, before);
  const told = courses.map((parts, index) => {
    const many = courses.length > 1 ? `${border.closed ? 'Round' : 'Row'} ${index + 1}: ` : '';
    const backwards = border.stitch === 'reverse' && index === courses.length - 1;
    // what does not come round is gone back along, but for stitches that are worked backwards themselves
    const turn = (!border.closed || border.turned) && index > 0 && !backwards ? 'Turn. ' : '';
    return `${turn}${many}${wordCourse(parts, index === 0, schools)}${backwards ? BACKWARDS : ''}`;
  });
  return [start, ...told, `(${borderCounted(border)})`].filter(Boolean).join(' ');
}

/** Gone on from the loop, turned where the other side has to face; else with the yarn joined where it begins. */
function startWords(border: Border, { live, facing, of }: Hand): string {
  const { near, closed, side = 'right', path, colour } = border;
  if (!live) {
    const faces = near
      ? `the ${near} towards you`
      : closed
        ? `the ${side === 'wrong' ? 'inside' : 'outside'} facing`
        : `the ${side} side facing`;
    if (border.tail) return `With ${faces}, draw up a loop of the tail ${landmarkWords(border.tail.at)}.`;
    const from = beginningOf(border);
    return `With ${faces}, join ${colour ?? 'the yarn'}${from ? ` ${landmarkWords(from)}` : ''}.`;
  }
  // what lies behind the nearest layer shows its other side
  const behind = path[0]!.spans[0].piece !== of;
  return (facing === side) === behind ? 'Turn.' : '';
}

/** What people count of a border's last round: its stitches, or its loops. */
export function borderCounted(border: Border): string {
  const count = borderCount(border);
  if (border.stitch !== 'loops') return plural(count, 'stitch', 'stitches');
  const loops = plural(Math.floor(count / 2), 'loop');
  return count % 2 === 0 ? loops : `${loops} and 1 stitch`;
}

/** Part by part, each with what it lies along; from the second course on the parts are one way. */
function wordCourse(parts: readonly BorderPart[], first: boolean, { terms }: Schools): string {
  const sentences = joinedParts(parts, first).map(({ stretch, instructions }) => {
    const words = instructions.map((one) => (stretch?.corner ? cornerWords(one, terms) : wordInstruction(one, terms)));
    const along = first && stretch && !stretch.corner ? `${liesWords(stretch.lies)}: ` : '';
    return along + words.join(', ');
  });
  return `${capital(sentences.join(first ? '; ' : ', '))}.`;
}

/** Parts that lie along one edge, one after the other, are told as one; over a course that is there, whatever they lie along. */
function joinedParts(parts: readonly BorderPart[], first: boolean): BorderPart[] {
  const list: BorderPart[] = [];
  for (const part of parts) {
    const before = list.at(-1);
    const alongOne = before?.stretch && part.stretch && !before.stretch.corner && !part.stretch.corner;
    if (alongOne && (!first || liesWords(before.stretch!.lies) === liesWords(part.stretch!.lies)))
      list[list.length - 1] = { ...before, instructions: mergedCourse([...before.instructions, ...part.instructions]) };
    else list.push(part);
  }
  return list;
}

function cornerWords(one: BorderPart['instructions'][number], terms: Schools['terms']): string {
  if (one.do === 'loop') return wordInstruction(one, terms);
  if (one.do !== 'group') return `${wordInstruction(one, terms)}, at the corner`;
  const [part] = one.parts;
  return part && 'stitch' in part ? `${part.count} ${term(part.stitch, terms)} in the corner` : '';
}

function wordFree(free: Free, schools: Schools): string {
  const { lead, from, slipped, line, courses, times, tails, rounds, onward, colour } = free;
  const told = courses.map((course) => wordRow(course, schools));
  const rows = rounds ? told.map((text, index) => `Round ${index + 1}: ${text}`).join(' ') : told.join(' Turn. ');
  const many = times > 1 ? ` Make ${times} of them.` : '';
  const leave = tails > 0 ? `Leave a tail of {cut:${tails}} to sew with.` : '';
  const cut = tails > 0 ? 'Fasten off, leaving a tail as long.' : 'Fasten off.';
  const off = onward ? '' : cut;
  const joined = from && `Join ${colour ?? 'the yarn'} ${slipped ? 'with a {slip} ' : ''}${landmarkWords(from)}.`;
  return [lead, line && lineWords(line), leave, joined, rows, off].filter(Boolean).join(' ') + many;
}

/** A line worked on the fabric along one of its columns. */
const lineWords = ({ number, column, of, mm }: NonNullable<Free['line']>): string =>
  `Line ${number}, {mm:${formatNumber(mm)}} long, along stitch ${column} of ${of} from the {side:left} up to the opening, the yarn held behind both layers, the first and the last place worked twice:`;

/** Columns as both rows have them: where one begins at the other end, its stitches are counted from there. */
function wordMark({ rows, names, chains }: Extract<Work, { do: 'mark' }>): string {
  const [place, counted] = chains ? ['place', 'stitches and chains counted alike'] : ['stitch', 'counted'];
  const told = rows.map(({ row, after }) => ({
    row,
    places: listed(after.map((count, index) => `after ${place} ${count} (${names[index]!})`)),
  }));
  const [first] = told;
  if (told.every(({ places }) => places === first!.places))
    return `Place a stitch marker in ${told.map(({ row }) => `row ${row}`).join(' and in ')}, ${counted} from where each begins: ${first!.places}.`;
  return `Place a stitch marker, ${counted} from where each row begins: ${told.map(({ row, places }) => `in row ${row} ${places}`).join('; ')}.`;
}

/** A sentence with its places in words. */
const withPlaces = (says: string, at: readonly Spot[] = []): string =>
  (at.length > 0 ? says.replace('{all}', spotsWords(at)) : says).replace(
    /\{at(?::(\d+))?\}/g,
    (_, which: string | undefined) => spotWords(at[Number(which ?? 1) - 1]!),
  );

/** Where lines lie between columns. */
const columnsWords = ({ between, of }: NonNullable<Sewing['lines']>): string =>
  `between stitch ${between.map((at) => `${at} and ${at + 1}`).join(', between ')} of ${of}, counted from the {side:left}`;

/** Sewn with the tails that hang there, or with yarn cut for it. */
function wordSewing({ mm, tails = [], says: told, at, lines }: Sewing): string {
  const says = withPlaces(lines ? told.replace('{columns}', columnsWords(lines)) : told, at);
  if (mm === 0) return capital(says);
  if (tails.length === 0) return `With about {cut:${yarnToCut(mm)}} of yarn, ${says}`;
  return `With ${tails.length === 1 ? 'its tail' : 'its tails'}, ${says}`;
}

const SEAM_WORDS: Readonly<Record<Seam['how'], string>> = {
  whip: 'whip stitch',
  mattress: 'right side facing you, mattress stitch',
};

function wordSeam({ how, through, lies, between, mm, factor, tail }: Seam): string {
  if (!lies) return '';
  const yarn = tail ? `the tail ${landmarkWords(tail.at)}` : `about {cut:${yarnToCut(mm * factor)}} of yarn`;
  return `With ${yarn}, ${SEAM_WORDS[how]} ${through} of both layers together along ${seamLine(lies, between)}.`;
}

/** A side by the hand it is at, with the way it is sewn; or a line by its name. */
function seamLine({ line, side, way }: Lies, between: Seam['between']): string {
  if (line !== undefined || !between) return line ?? '';
  const name = (landmark: Landmark) => landmarkWords(landmark).replace(/^at /, '');
  const from = between.from ? `from ${name(between.from)} ` : '';
  return `the {side:${side!}}-hand edge, ${from}${way!} to ${name(between.to)}`;
}
