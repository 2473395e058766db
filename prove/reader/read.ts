import { actsOf, type Act } from './acts';
import { borderOf } from './border';
import { chained, countFault, stitched, turnedRound, worked, type Course } from './course';
import { sheetOf, type SheetLine } from './sheet';
import { inOneTongue } from './tongue';
import { sentenceFault } from './sentences';
import { factFaults } from './facts';
import { lookFault } from './looks';

/** A piece as far as it is read. */
export interface ReadPiece {
  name: string;
  course: Course;
  /** What stitches the foundation has. */
  begun: number;
  rows: number;
  kind: 'row' | 'round';
  /** Rows since the last of them was worked in rounds. */
  rowsSince: number;
  /** Whether any of it was worked in rounds. */
  rounds: boolean;
  counts: number[];
  /** Rows at which something ends or is marked: where folds and edges are. */
  bounds: Set<number>;
  told: Map<number, readonly Act[]>;
  turned: boolean;
  side: 'RS' | 'WS' | undefined;
  foundation: 'chain' | 'chains' | 'ring' | 'edge' | 'stitches';
  holes: Set<number>;
}

/** What is known of the whole while it is read. */
export interface Known {
  facts: ReadonlyMap<string, string>;
  pieces: ReadPiece[];
  now: ReadPiece | undefined;
  section: string;
  tails: Set<string>;
  /** Tails that are looked at before they are cut: told of afterwards. */
  asked: Set<string>;
  /** What the last border came to. */
  border: number | undefined;
  notions: string;
}

export interface Reading {
  lines: number;
  notUnderstood: string[];
  refused: string[];
}

/** Reads a printed pattern to its end, and works it. */
export function readPattern(printed: string): Reading {
  const sheet = sheetOf(printed);
  const tongue = inOneTongue(sheet);
  const reading: Reading = { lines: 0, notUnderstood: [], refused: [] };
  const known: Known = {
    facts: sheet.facts,
    pieces: [],
    now: undefined,
    section: '',
    tails: new Set(),
    asked: new Set(),
    border: undefined,
    notions: sheet.facts.get('Notions') ?? '',
  };
  const attempt = (line: string, read: () => void) => {
    reading.lines += 1;
    try {
      read();
    } catch (error) {
      const { message } = error as Error;
      const list = message.startsWith('not understood') ? reading.notUnderstood : reading.refused;
      list.push(`${message} | ${line}`);
    }
  };
  for (const { name, lines } of sheet.sections) {
    known.section = name;
    if (known.now) known.now.bounds.add(known.now.rows);
    for (const line of lines) attempt(line.text || line.check!.look, () => readLine(line, tongue, known));
  }
  const untold = [...known.asked].filter((length) => !known.tails.has(length));
  for (const fault of [...factFaults(sheet, known), ...untold.map((length) => `no tail of ${length} is left`)])
    attempt(fault, () => complain(fault));
  reading.lines += sheet.facts.size + sheet.notes.length;
  return reading;
}

function complain(fault: string): never {
  throw new Error(fault);
}

function readLine(line: SheetLine, tongue: (text: string) => string, known: Known): void {
  if (line.check) {
    for (const text of [line.check.look, line.check.repair ?? ''])
      for (const sentence of sentencesOf(tongue(text))) must(lookFault(sentence, known));
    return;
  }
  const text = tongue(line.text);
  if (line.label) return readCourse(text, line.label, known);
  if (
    /^(?:Leave a tail of [^.]*\. )?(?:With [^:]+: )?(?:Chain \d+(?: with an? [^.]*)?\. |Make a magic ring|Chain 2: the first|Join the yarn .* Work the next r|Join .* Work the next r)/.test(
      text,
    ) &&
    isBeginning(text)
  )
    return begin(text, known);
  for (const sentence of sentencesOf(text)) must(readSentence(sentence, known));
}

const isBeginning = (text: string) =>
  /[Tt]his edge|Chain evenly|\bring\b|Work the next r(?:ow|ound)s over these/.test(text);

export const sentencesOf = (text: string): string[] =>
  text
    .split(/(?<=[.?!]|(?<=\))(?<=\(\d[^()]*\))) (?=[A-Z(*])/)
    .map((part) => part.trim())
    .filter((part) => part !== '');

export function must(fault: string | undefined): void {
  if (fault !== undefined) complain(fault);
}

/** What stands before what is done. */
const LED =
  /^(?:From where the hook is|For the (?:cord|tie|flower)|The (?:flower|strap|tie|loop)(?:, (?:on )?from where (?:you are|the hook is))?)(?:, with [^:]+)?: /;

/** What is said of what was done, in brackets: its count. */
const COUNTED = /^\((\d[^()]*)\)$/;

function readSentence(sentence: string, known: Known): string | undefined {
  const led = LED.exec(sentence);
  if (led)
    return readSentence(
      sentence.slice(led[0].length).replace(/^./, (first) => first.toUpperCase()),
      known,
    );
  const counted = COUNTED.exec(sentence);
  if (counted) return borderCounted(counted[1]!, known);
  const own = sentenceFault(sentence, known);
  if (own !== 'unknown') return own;
  const course = sentence.replace(/^(?:With [^:]+: |(?:Row|Round) \d+: )+/, '');
  const { makes, loops, rowEnds } = borderOf(course);
  known.border = loops > 0 && makes === 0 ? loops : makes;
  const spans = spansOf(known.pieces);
  const strange = rowEnds.find((rows) => !spans.has(rows));
  return strange === undefined ? undefined : `no edge of ${strange} row ends is known`;
}

function borderCounted(said: string, { border }: Known): string | undefined {
  const told = /^(\d+) (?:stitch(?:es)?|loops?|chains?)(?: and 1 stitch)?$/.exec(said);
  if (!told) return `not understood: (${said})`;
  if (/loop/.test(said)) return undefined;
  return border === undefined || border === Number(told[1]) ? undefined : `(${said}) after ${border}`;
}

/** How many row ends edges have: between any two places that are told of. */
function spansOf(pieces: readonly ReadPiece[]): Set<number> {
  const spans = new Set<number>();
  // a layer that is higher than another leaves what it is higher by
  const all = new Set(pieces.flatMap(({ bounds, rows }) => [0, ...bounds, rows]));
  for (const a of all) for (const b of all) spans.add(Math.abs(a - b)).add(Math.abs(a - 2 * b));
  return spans;
}

function begin(text: string, known: Known): void {
  const chain = /(?:^|: |\. )Chain (\d+)(?: with an? [^.]*)?\. /.exec(text);
  const tail = /^Leave a tail of ([^.]+?(?:\.\d+)? (?:mm|cm|in)) to sew with/.exec(text);
  if (tail) known.tails.add(tail[1]!);
  const over = /over these (\d+) stitch/.exec(text);
  const both = /You will work along both sides/.test(text);
  const ring = /join with a slip stitch to form a ring/.test(text);
  const course = over ? stitched(Number(over[1])) : chained(Number(chain?.[1] ?? 0));
  const piece = beginOn(course, over ? 'edge' : both ? 'chains' : ring || chain ? 'chain' : 'ring', known);
  const counted = /\((\d+) (?:chains?|stitch(?:es)?)\)/.exec(text);
  if (counted && Number(counted[1]) !== piece.begun) complain(`${counted[0]} of ${piece.begun}`);
  const rest = text
    .replace(/^Leave a tail of [^.]*(?:\.\d+)?[^.]*\. /, '')
    .replace(/^With [^:]+: /, '')
    .replace(/^Chain \d+(?: with an? [\d./ -]+(?:mm|in)?[^.]*hook)?\. /, '')
    .replace(/\(\d+ (?:chains?|stitch(?:es)?)\) ?/, '');
  for (const sentence of sentencesOf(rest)) must(unknownToo(sentence, sentenceFault(sentence, known)));
}

const unknownToo = (sentence: string, fault: string | undefined): string | undefined =>
  fault === 'unknown' ? `not understood: ${sentence}` : fault;

const BODY =
  /^((?:Leave a tail of .*? to sew with\. )?)((?:With [^:]+: )?)(.*?)\.?(?: (Turn|Do not turn(?: yet)?)\.)? \((\d+ (?:stitch|chain|V|group|loop)[^()]*)\)(?: (.*))?$/;

function readCourse(text: string, label: NonNullable<SheetLine['label']>, known: Known): void {
  const found = BODY.exec(text);
  if (!found) return complain(`not understood: ${text}`);
  const [, tail, lead, body, turn, counted, notes] = found as unknown as string[];
  if (tail) must(unknownToo(tail, sentenceFault(tail.trim(), known)));
  if (lead) must(unknownToo(lead, sentenceFault(lead.trim(), known)));
  const foundation = /^Work (\d+) foundation .+: chain and row 1 in one\. (.*)$/.exec(body!);
  if (foundation) beginOn(stitched(Number(foundation[1])), 'stitches', known);
  const piece = known.now;
  if (!piece) return complain('a row of nothing');
  const turns = turn === 'Turn' || /, turn$/.test(body!);
  let fault = sideFault(label, piece);
  for (let row = label.from; row <= label.to; row += 1) {
    if (row !== piece.rows + 1) fault ??= `row ${row} after row ${piece.rows}`;
    fault ??= faultOf(() => {
      if (!foundation)
        workOn(piece, body!.replace(/, turn$/, ''), row, counted!, turns || turnsAgain(body!, piece, turn));
      must(countFault(counted!, piece.course));
    });
    piece.rows = row;
    piece.kind = label.kind;
    piece.rounds ||= label.kind === 'round';
    piece.counts[row] = piece.course.places.filter(({ is }) => is !== 'chain').length;
    if (piece.course.places.some(({ is }) => is === 'chain')) piece.holes.add(row);
    piece.rowsSince = label.kind === 'round' ? 0 : piece.rowsSince + 1;
  }
  if (foundation) piece.turned = turns;
  if (fault) {
    // what comes after it is read as if it had come to what it says
    piece.course = stitched(Number(/^\d+/.exec(counted!)![0]));
    complain(fault);
  }
  for (const sentence of sentencesOf(notes ?? '')) must(unknownToo(sentence, sentenceFault(sentence, known)));
}

/** A row that repeats another is turned as that was, unless it says it is not. */
function turnsAgain(body: string, piece: ReadPiece, turn: string | undefined): boolean {
  const again = /^(?:Repeat|Rep) (?:row|round) (\d+)$/i.exec(body);
  return again !== null && turn === undefined && piece.kind === 'row' && piece.told.has(Number(again[1]));
}

/** A piece that is begun, on what is there to be worked into. */
function beginOn(course: Course, foundation: ReadPiece['foundation'], known: Known): ReadPiece {
  const piece: ReadPiece = {
    name: known.section,
    course,
    begun: course.places.length,
    rows: 0,
    kind: 'row',
    rowsSince: 0,
    rounds: false,
    counts: [],
    bounds: new Set([0]),
    told: new Map(),
    turned: false,
    side: undefined,
    foundation,
    holes: new Set(),
  };
  known.pieces.push(piece);
  known.now = piece;
  return piece;
}

/** What is wrong, in words. */
function faultOf(read: () => void): string | undefined {
  try {
    read();
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
}

function workOn(piece: ReadPiece, body: string, row: number, counted: string, turns: boolean): void {
  const again = /^(?:Repeat|Rep) (?:row|round) (\d+)$/i.exec(body);
  const acts = again ? piece.told.get(Number(again[1])) : actsOf(body.replace(/^./, (first) => first.toLowerCase()));
  if (!acts) return complain(`nothing is told of row ${again![1]}`);
  if (!again) piece.told.set(row, acts);
  const below = piece.turned ? turnedRound(piece.course) : piece.course;
  const loops = /chain-(\d+) loop|loops? of (\d+) chains/.exec(counted);
  piece.course = worked(acts, below, {
    chainBelow: row === 1,
    loopChains: Number(loops?.[1] ?? loops?.[2] ?? 0),
    first: row === 1,
  });
  piece.turned = turns;
}

/** Sides are what they are said to be: each turn shows the other. */
function sideFault({ side, from, to }: NonNullable<SheetLine['label']>, piece: ReadPiece): string | undefined {
  const before = piece.side;
  if (!side) return undefined;
  const shows = before === undefined ? side : piece.turned ? (before === 'RS' ? 'WS' : 'RS') : before;
  piece.side = (to - from) % 2 === 0 ? side : side === 'RS' ? 'WS' : 'RS';
  return shows === side ? undefined : `row ${from} is said to be ${side}`;
}
