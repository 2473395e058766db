import { countedWords, type Instruction } from '../craft/fabric';
import type { Check, Course, Foundation, Piece, WorkStep } from '../shapes';
import { borderCount, fabricAt, landmarkWords, plainFoundation, type Walked, type Work } from '../piece';
import { formatNumber, mmToken, plural, withArticle } from '../base/units';
import type { Schools } from './schools';
import { term, wordText } from './terms';
import { adviceIn } from './moments';
import { wordRow } from './wording';
import { borderCounted, wordWork } from './workWords';

/** One thing to do. Rows and rounds say what they end on; other steps have no count. */
export interface Step {
  id: string;
  piece: string;
  /** The piece in words, where there are several; how many of it. */
  pieceName: string;
  section: string;
  kind: 'foundation' | 'row' | 'round' | 'assembly' | 'closure' | 'finish';
  text: string;
  /** The yarn and the hook a row is worked with from here on, as its text begins; nothing where they stay. */
  lead: string;
  /** Whether the work is turned after it. */
  turns: boolean;
  /** What to do when the step is done, beside going on. */
  note: string | null;
  /** Stitches the step ends on. */
  ends: number | null;
  /** The same as people count it, where it is not stitches alone: “9 Vs and 2 stitches”. */
  counted: string | null;
  side: 'right' | 'wrong' | null;
  /** Height of the piece when the step is done. */
  heightMm: number | null;
  /** Row or round number within its piece, and of how many. */
  row: number | null;
  of: number | null;
  check: Check | null;
  /** The row as data, for the referee. */
  work: Instruction[] | null;
  /** Whether the work was turned before it. */
  turned: boolean;
  /** Places to work into that it makes besides rows: a foundation's chains. */
  makes: { count: number; kind: 'stitch' | 'chain' } | null;
  /** The piece that is made so many times in all, where the step asks for the others. */
  again: { piece: string; copies: number } | null;
}

const EDGE_WORDS: Readonly<Record<Foundation['edge'], string>> = {
  opening: 'Chain loosely: this edge becomes the opening.',
  closed: 'Chain firmly, but not tight: this edge will be closed.',
  seam: 'This edge will be sewn into a seam.',
  free: 'Chain evenly, neither tightly nor loosely.',
};

/** How a ring is made; it is closed after the round that has worked into it last. */
const RING_WORDS: Readonly<Record<Schools['ring'], (first: Course['kind'], last: number) => string>> = {
  wrapped: (_first, last) =>
    `Make a magic ring: wrap the yarn around two fingers, and pull the end to close the ring after round ${last}.`,
  'two-chains': (first) => `Chain 2: the first ${first} goes into the first of them.`,
};

const goesInRing = (instructions: readonly Instruction[]) =>
  instructions.some((one) => 'into' in one && one.into === 'ring');

function ringWords({ courses }: Piece, { ring }: Schools): string {
  const last = courses.reduce((at, { instructions }, index) => (goesInRing(instructions) ? index + 1 : at), 1);
  return RING_WORDS[ring](courses[0]!.kind, last);
}

type Named = 'id' | 'piece' | 'pieceName' | 'section' | 'kind' | 'text';

/** What a piece's beginning is told by, besides where it belongs. */
type Begun = Pick<Step, 'text' | 'makes'> & Partial<Pick<Step, 'ends' | 'side' | 'heightMm' | 'row' | 'of' | 'check'>>;

/** A step of what it has, the rest empty. Every field by name: spreading an empty step costs more than all its words. */
function stepOf(given: Pick<Step, Named> & Partial<Omit<Step, Named>>): Step {
  return {
    piece: given.piece,
    pieceName: given.pieceName,
    id: given.id,
    section: given.section,
    kind: given.kind,
    text: given.text,
    lead: given.lead ?? '',
    turns: given.turns ?? false,
    note: given.note ?? null,
    ends: given.ends ?? null,
    counted: given.counted ?? null,
    side: given.side ?? null,
    heightMm: given.heightMm ?? null,
    row: given.row ?? null,
    of: given.of ?? null,
    check: given.check ?? null,
    work: given.work ?? null,
    turned: given.turned ?? false,
    makes: given.makes ?? null,
    again: given.again ?? null,
  };
}

/** The steps of one piece: foundation, then its rows or rounds, each worded in the chosen terms. */
export function pieceSteps(
  piece: Piece,
  schools: Schools,
  several: boolean,
  colourOf: (row: number) => string | undefined = () => undefined,
  tail?: number,
  atChange?: string,
  goesIn: GoesIn = 'item',
): Step[] {
  const words = new Map<Instruction[], string>();
  const wordsOf = (work: Instruction[]) => {
    const known = words.get(work);
    if (known) return known;
    const text = inTheRing(wordRow(work, schools), work === piece.courses[0]!.instructions, schools);
    words.set(work, text);
    return text;
  };
  const counts = new Map<Instruction[], string | null>();
  const countedOf = (work: Instruction[], row: number) => {
    const known = counts.get(work);
    if (known !== undefined) return known;
    const text = countedWords(work, fabricAt(piece, row).stitch);
    counts.set(work, text);
    return text;
  };
  const pieceName = several || piece.times > 1 ? `${piece.name}${piece.times > 1 ? ` (make ${piece.times})` : ''}` : '';
  const begun = foundationStep(piece, pieceName, schools);
  const first = colourOf(1);
  const leave = tail === undefined ? '' : wordText(`Leave a tail of {cut:${tail}} to sew with. `, schools);
  const steps: Step[] = [
    {
      ...begun,
      text: `${leave}${first ? `With ${first}: ` : ''}${begun.text}`,
      note: begun.note ?? chainsCount(piece),
    },
  ];
  const advice = adviceIn(piece);
  const skipsFirst = steps[0]!.row === 1;
  // rounds keep their right side outside; turned rows change sides from there on
  let turns = turnsToRounds(piece);
  piece.courses.forEach((course, index) => {
    const row = index + 1;
    turns = course.kind === 'round' ? 0 : turns + (course.turned ? 1 : 0);
    const side = (turns % 2 === 0) !== (piece.facing === 'wrong' && course.kind === 'round') ? 'right' : 'wrong';
    if (row === 1 && skipsFirst) return;
    const work = course.instructions;
    const next = piece.courses[row];
    const counted = countedOf(work, row);
    const lead = withWhat(piece, row, colourOf);
    const turned = next?.turned ?? false;
    steps.push(
      stepOf({
        piece: piece.id,
        pieceName,
        id: `${piece.id}-${course.kind}-${row}`,
        section: course.section,
        kind: course.kind,
        text: `${lead}${wordsOf(work)}${turned ? ' Turn.' : ''}`,
        lead,
        turns: turned,
        note: [noteOf(piece, course, row, colourOf, atChange), advice.get(row)].filter(Boolean).join(' ') || undefined,
        ends: course.ends,
        counted,
        // both layers of a tube laid flat have no side of their own
        side: work.some((one) => one.do === 'both-layers') ? null : side,
        heightMm: piece.reach(row),
        row,
        of: piece.rows,
        check: rowCheck(piece, course, row, counted, schools, goesIn),
        work,
        turned: course.turned,
      }),
    );
  });
  return steps;
}

/** Said where a piece is begun; of a whole pattern once, at its head. */
export const UNCOUNTED = 'Chains that begin a row or round of this piece do not count as a stitch.';

/** Said where only some of them do. */
export const COUNTED_WHERE_SAID =
  'Chains that begin a row or round of this piece count as a stitch only where it says so.';

/** What is said of the chains its courses begin with, where some of them are no stitch. */
function chainsCount({ courses }: Piece): string | null {
  const begins = courses.flatMap(({ instructions }) => instructions.filter((one) => one.do === 'turning-chain'));
  if (begins.every(({ counts }) => counts)) return null;
  return begins.some(({ counts }) => counts) ? COUNTED_WHERE_SAID : UNCOUNTED;
}

/** Rows that rounds are worked around after a turn show those the other side: what has its right side in the rounds. */
function turnsToRounds({ courses }: Piece): number {
  const first = courses.findIndex(({ kind }) => kind === 'round');
  return first > 0 && courses[first]!.turned ? courses.slice(0, first + 1).filter(({ turned }) => turned).length : 0;
}

/** Of two chains, the first one is the ring: the second from the hook at first, later the one that all went into. */
function inTheRing(text: string, first: boolean, { ring }: Schools): string {
  if (ring !== 'two-chains') return text;
  return text.replace(
    'into the ring',
    first ? 'in the second chain from the hook' : 'in the chain that row 1 went into',
  );
}

/** The yarn and the hook a row is worked with, where they are others than in the row before. */
function withWhat(piece: Piece, row: number, colourOf: (row: number) => string | undefined): string {
  if (row === 1) return '';
  const colour = colourOf(row);
  const recoloured = colour !== undefined && colour !== colourOf(row - 1);
  const hook = fabricAt(piece, row).hookMm;
  const rehooked = hook !== fabricAt(piece, row - 1).hookMm;
  if (!recoloured && !rehooked) return '';
  const what = [...(recoloured ? [colour] : []), ...(rehooked ? [`the ${formatNumber(hook, 2)} mm hook`] : [])];
  return `With ${what.join(' and ')}: `;
}

/** What to do in a row besides: what the piece says of it, and the change to the next row's colour (handbook 4.4). */
function noteOf(
  { notes, rows }: Piece,
  { kind, instructions }: Course,
  row: number,
  colourOf: (row: number) => string | undefined,
  atChange: string | undefined,
): string | undefined {
  const next = row < rows ? colourOf(row + 1) : undefined;
  if (next === undefined || next === colourOf(row)) return notes[row];
  const joined = instructions.some((one) => one.do === 'join');
  const where = joined ? 'on the joining slip stitch' : `in the last pull-through of this ${kind}`;
  return [notes[row], `Change to ${next} ${where}.`, atChange].filter(Boolean).join(' ');
}

function foundationStep(piece: Piece, pieceName: string, schools: Schools): Step {
  const { kind, count, edge } = piece.foundation;
  const first = piece.courses[0]!;
  const begun = (more: Begun) =>
    stepOf({
      piece: piece.id,
      pieceName,
      id: `${piece.id}-foundation`,
      section: first.section,
      kind: 'foundation',
      text: more.text,
      ends: more.ends,
      side: more.side,
      heightMm: more.heightMm ?? 0,
      row: more.row,
      of: more.of,
      makes: more.makes,
      check: more.check,
    });
  const plain = piece.foundation.inOne && plainFoundation(piece);
  if (plain)
    return begun({
      text: `Work ${piece.stitches} foundation ${term(plain, schools.terms)}: chain and row 1 in one. ${EDGE_WORDS[edge]}${piece.courses.length > 1 ? ' Turn.' : ''}`,
      ends: piece.stitches,
      row: 1,
      of: piece.rows,
      side: 'right',
      heightMm: piece.reach(1),
      makes: { count: piece.stitches, kind: 'stitch' },
    });
  if (kind === 'picked-up')
    return begun({
      text: wordText(
        `Join the yarn ${piece.foundation.from ? landmarkWords(piece.foundation.from) : 'along the edge'}. Work the next ${piece.worked} over these ${plural(count, 'stitch', 'stitches')}.`,
        schools,
      ),
      ends: count,
      makes: { count, kind: 'stitch' },
    });
  if (kind === 'ring') return begun({ text: ringWords(piece, schools), makes: { count: 0, kind: 'stitch' } });
  const joined =
    kind === 'joined-chain'
      ? ` Being careful not to twist the chain, join with ${withArticle(term('slip', schools.terms))} to form a ring.`
      : '';
  const both = kind === 'chain-both-sides' ? ' You will work along both sides of this chain.' : '';
  return begun({
    text: `Chain ${count}${piece.foundation.hookMm ? ` with ${withArticle(`${formatNumber(piece.foundation.hookMm, 2)} mm hook`)}` : ''}.${joined}${both} ${EDGE_WORDS[edge]}`,
    ends: count,
    makes: { count, kind: 'chain' },
    check:
      kind === 'joined-chain'
        ? {
            look: 'No twist all the way round the chain?',
            repair: 'Undo the joining stitch, lay the chain straight, join again.',
          }
        : null,
  });
}

/** A row so much longer than the piece is high is called long, not wide (ours). */
const LONG_ROW = 1.5;

/** Checks at the risky moments of a piece (handbook 8). */
function rowCheck(
  piece: Piece,
  { kind, section, ends, instructions }: Course,
  row: number,
  counted: string | null,
  schools: Schools,
  goesIn: GoesIn,
): Check | null {
  const count = counted ?? plural(ends, 'stitch', 'stitches');
  if (row === 1 && piece.worked === 'rows') {
    // one that takes in or lets out is as wide as what it ends on
    const wide = (piece.width.value * ends) / piece.stitches;
    return {
      look: `${count}. Laid flat, the row is about ${checked(wide, piece.fabric.stitchWidth.value, wide > LONG_ROW * piece.height.value ? 'long' : 'wide', schools)}.`,
      repair: `If it is more than a stitch off, stop here: measure your ${term('gauge', schools.terms)} on this row, enter it in the plan and start again with the new count.`,
    };
  }
  const isLast = piece.courses[row]?.section !== section;
  if (!isLast) return null;
  if (section === 'base') {
    const wide = checked(2 * piece.reach(row), fabricAt(piece, row).rowHeight.value, 'wide', schools);
    return {
      look: piece.cupped
        ? `${count}. The base is about ${wide}.`
        : `${count}. The base lies flat and is about ${wide}.`,
      repair: piece.cupped
        ? 'If it is too small, add a round; if it is too large, leave one out.'
        : 'If it cups, use a larger hook. If it ruffles, use a smaller hook. Then start the base again.',
    };
  }
  if (kind === 'round') return roundCheck(piece, instructions, section, count, schools, goesIn);
  return {
    look: `${count}${rowsTold(piece, row)}.`,
    repair:
      'If a stitch is missing, look at the ends of the rows first: the last stitch is easily overlooked. Pull out the rows down to the mistake and work them again.',
  };
}

/** What a piece is tried with: the item, several things, or its own size where nothing was measured that goes in. */
export type GoesIn = 'item' | 'things' | 'size';

/** What is seen of a last round: its count, and whether the item goes in where that is what it is for. */
function roundCheck(
  { beside, rectangle, width, fabric }: Piece,
  instructions: readonly Instruction[],
  section: string,
  count: string,
  schools: Schools,
  goesIn: GoesIn,
): Check {
  const joined = instructions.some((one) => one.do === 'join') ? ' (do not count a joining slip stitch)' : '';
  const off = 'If the count is off, pull out to the round with the mistake.';
  // what is made beside it holds nothing, a rectangle is flat, and a shoulder closes over what is in
  if (beside || rectangle || section === 'shoulder') return { look: `${count}${joined}.`, repair: off };
  const gauge = `check your ${term('gauge', schools.terms)}.`;
  if (goesIn === 'size')
    return {
      look: `${count}${joined}. Laid flat it is about ${checked(width.value, fabric.stitchWidth.value, 'wide', schools)}.`,
      repair: `${off} If the count is right but the size is not, ${gauge}`,
    };
  const what = goesIn === 'things' ? 'What belongs in it goes in' : 'The item goes in';
  return {
    look: `${count}${joined}. ${what}.`,
    repair: `${off} If the count is right but it does not fit, ${gauge}`,
  };
}

/** A size to check against, with what is fine: a stitch, or a round, more or less. */
function checked(mm: number, off: number, way: string, schools: Schools): string {
  const [low, high] = [mm - off, mm + off].map((one) => wordText(mmToken(one), schools));
  // of what is told in whole centimetres a stitch more or less is not seen
  const fine = low === high ? '' : ` (${low} to ${high} is fine)`;
  return `${wordText(mmToken(mm), schools)} ${way}${fine}`;
}

/** A single row need not be counted. */
function rowsTold(piece: Piece, row: number): string {
  const since = rowsSince(piece, row);
  if (since.startsWith('1 row ')) return '';
  return `, ${since}${fabricAt(piece, row).stitch.id === 'single' ? ' (each ridge is 2 rows)' : ''}`;
}

/** How many rows there are: from the chain, or where it was begun in rounds since the last of them. */
function rowsSince({ courses, foundation }: Piece, row: number): string {
  const before = courses.slice(0, row).reverse();
  const rounds = before.findIndex(({ kind }) => kind === 'round');
  return rounds < 0
    ? `${plural(row, 'row')} from the ${BEGUN_AT[foundation.kind]}`
    : `${plural(rounds, 'row')} since the last round`;
}

/** What rows are counted from. */
const BEGUN_AT: Readonly<Record<Foundation['kind'], string>> = {
  chain: 'chain',
  'chain-both-sides': 'chain',
  'joined-chain': 'chain',
  ring: 'ring',
  'picked-up': 'edge they are worked on',
};

/**
 * Steps that are no rows, worded: what they do as it was walked, then what else there is to say. A colour is named
 * where it is joined, not where it hangs already.
 */
export function workSteps(
  steps: readonly WorkStep[],
  piece: string,
  schools: Schools,
  told: ReadonlyMap<Work, Walked>,
): Step[] {
  return steps.map((step) => {
    const { id, section, kind, does = [], text, check } = step;
    return stepOf({
      piece,
      pieceName: '',
      id,
      section,
      kind,
      text: [
        ...inColour(withColour(step), does.map((work) => wordWork(told.get(work)!, schools)).filter(Boolean)),
        text ? wordText(text, schools) : '',
      ]
        .filter(Boolean)
        .join(' '),
      ends: endsOf(does),
      counted: loopsOf(does),
      again: againOf(does),
      check: check && { ...check, look: wordText(check.look, schools), repair: wordText(check.repair, schools) },
    });
  });
}

/** What it is worked in stands behind what it is for, where that comes first. */
function inColour(lead: string, words: readonly string[]): string[] {
  const [first = '', ...others] = words;
  const meant = /^(For the [a-z]+|The [a-z]+): /.exec(first);
  if (!meant || lead === '') return [lead, ...words];
  return [`${meant[1]!}, ${lead.replace(/^With/, 'with')} ${first.slice(meant[0].length)}`, ...others];
}

/** The colour of what is begun anew, where what is done does not name it as it is joined. */
function withColour({ colour, goesOn, does = [] }: WorkStep): string {
  if (goesOn || does.some((work) => work.do === 'border' || (work.do === 'free' && work.from))) return '';
  const begun = does.find((work) => work.do === 'free' && !work.onward);
  const own = colour ?? (begun?.do === 'free' ? begun.colour : undefined);
  return own ? `With ${own}:` : '';
}

function againOf(does: readonly Work[]): Step['again'] {
  const others = does.filter((work) => work.do === 'again');
  return others[0] ? { piece: others[0].piece, copies: others.length + 1 } : null;
}

/** Of an edging of loops, its loops. */
function loopsOf(does: readonly Work[]): string | null {
  const last = does.filter((work) => work.do === 'border').at(-1);
  return last?.stitch === 'loops' ? borderCounted(last) : null;
}

/** Stitches that the last border of a step ends on. */
function endsOf(does: readonly Work[]): number | null {
  const borders = does.filter((work) => work.do === 'border');
  return borders.length > 0 ? borderCount(borders.at(-1)!) : null;
}
