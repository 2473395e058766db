import type { GroupPart, Instruction } from '../craft/fabric';
import { turnsIn } from './border';
import {
  backwards,
  goesAlong,
  lengthOf,
  OPPOSITE,
  pickedUp,
  placesIn,
  pointsOf,
  rawOf,
  type Edge,
  type Span,
} from './edge';
import { bandsOf, isSpiral, topColourOf, type Piece } from './piece';
import { liesWords } from './placeWords';
import type { Landmark, Lies, Side, Spot } from './place';
import { seenOf } from './seen';
import { sideOfTail, tailOf, tailsUsed, yarnEach } from './tails';
import { nth, Walk } from './walk';
import {
  beginningOf,
  TAIL_MM,
  type Border,
  type Fold,
  type Free,
  type Layers,
  type Seam,
  type Sewing,
  type Stretch,
  type Work,
} from './work';

/** A step that cannot be done as it is told. */
interface WorkFault {
  work: Work['do'];
  says: string;
}

/** An end shorter than this cannot be woven in, mm (prior, ours). */
const WOVEN_MM = 100;

/** An end of yarn as it hangs. */
interface Tail {
  mm: number;
  /** The point it hangs at, and what it is part of. */
  at: string | undefined;
  of: string;
}

/**
 * What of work cannot be done as it is told: a border that begins where the hook is not, runs along places that are not
 * there or are covered already, does not hang together, or joins edges that differ in count or do not lie on each other; a
 * loop left open; an edge left unjoined; a piece never made; a tail cut too short for what is sewn with it, sewn from where
 * it does not hang, or left hanging; a layer that shows its wrong side, or opens the other way than what it lies on;
 * anything closed while the thing is inside (handbook 4.4).
 *
 * @param pieces those the work speaks of
 * @returns a line for each fault, empty where it can be done
 */
export function workFaults(works: readonly Work[], pieces: readonly Piece[]): WorkFault[] {
  const referee = new Referee(pieces);
  referee.go(works);
  referee.end();
  return referee.faults;
}

class Referee extends Walk {
  readonly faults: WorkFault[] = [];
  /** The point the loop hangs at. */
  private at: string | undefined;
  private readonly made = new Set<string>();
  private readonly covered: Span[] = [];
  /** Those of them that were worked or sewn through several layers. */
  private readonly joined: Span[] = [];
  private readonly folds: Fold[] = [];
  private readonly done = new Set<string>();
  /** Ends that hang, by name. */
  private readonly tails = new Map<string, Tail>();
  private filled = false;
  /** What was sewn so far by what it goes through, and what lies on the front. */
  private readonly sewnIn = new Set<Layers>();
  private readonly onFront = new Set<string>();
  /** Whether anything of it is in a colour that is said. */
  private coloured = false;
  /** Pieces whose wrong side is outside still. */
  private readonly insideOut = new Set<string>();
  /** Whether a spiral ends in a step still. */
  private unlevel = false;
  /** What nothing holds yet. */
  private readonly loose = new Set<string>();
  /** Points that have come to lie on each other, by any name of theirs. */
  private readonly together = new Map<string, string>();

  constructor(pieces: readonly Piece[]) {
    super(pieces, () => undefined);
  }

  end(): void {
    if (this.hand.live) this.fault('fasten-off', 'the last loop is left open');
    for (const lay of this.folds.flatMap(({ lays }) => lays))
      if (!this.joinedWhole(lay)) this.fault('fold', `${lay[0].piece}:${lay[0].edge} is not joined all along`);
    for (const id of this.tails.keys()) this.fault('weave-in', `${id} is left hanging`);
    for (const { id, inside } of this.folds)
      if (inside === 'right') this.fault('fold', `${id} leaves the wrong side outside`);
    for (const id of this.insideOut) this.fault('turn-through', `${id} is never turned right side out`);
    for (const id of this.loose)
      if (!this.joined.some(({ piece }) => piece === id)) this.fault('sew', `${id} is never sewn on`);
    for (const { id, times } of this.pieces.values())
      for (let one = 1; one <= times; one += 1)
        if (!this.made.has(nth(id, one))) this.fault('make', `${nth(id, one)} is never made`);
  }

  private fault(work: Work['do'], says: string): void {
    this.faults.push({ work, says });
  }

  protected override make(id: string, leave?: number, endsIn?: string): void {
    const piece = this.pieceOf(id);
    if (!piece) return this.fault('make', `there is no ${id}`);
    if (this.hand.live) this.fault('make', `${id} is begun before the loop is fastened off`);
    if (this.made.has(id)) this.fault('make', `${id} is made twice`);
    // the first piece is what all others are joined to, but those begun on it; of several alike one stands for all
    if (this.made.size > 0 && piece.id === id && piece.foundation.kind !== 'picked-up') this.loose.add(id);
    this.made.add(id);
    if (endsIn !== undefined) this.coloured = true;
    super.make(id, leave, endsIn);
    this.checkEndsIn(id, piece, endsIn);
    const around = piece.worked === 'rounds';
    if (piece.facing) this.insideOut.add(id);
    this.unlevel = around && isSpiral(piece.courses.at(-1)!);
    const first = around ? `${id}:ring:0` : `${id}:${sideOfTail(piece, 'start')}:0`;
    this.hang(tailOf(id, 'start'), { mm: leave ?? TAIL_MM, at: first, of: id });
    // the first row goes from right to left, and each turn sends the hook back; rounds come to where they began
    // the rounds of a rectangle begin and end in one corner
    if (piece.rectangle) this.at = `${id}:left:${piece.rectangle.side}`;
    else this.at = around ? `${id}:mouth:0` : `${id}:${sideOfTail(piece, 'end')}:${piece.rows}`;
  }

  protected override fastenOff(leave?: number): void {
    if (!this.hand.live) return this.fault('fasten-off', 'there is no loop to fasten off');
    this.onlyLevel('fasten-off');
    this.hang(tailOf(this.hand.of, 'end'), { mm: leave ?? TAIL_MM, at: this.at, of: this.hand.of });
    super.fastenOff();
  }

  private hang(name: string, tail: Tail): void {
    this.tails.set(this.tails.has(name) ? `${name}, ${this.tails.size}` : name, tail);
  }

  /** What is sewn with tails: each hangs where it begins, and is long enough. */
  private useTails(work: Seam | Sewing | Border, starts: readonly string[] | undefined): void {
    const used = tailsUsed(work);
    const ends = used.map((name) => {
      const tail = this.tails.get(name);
      if (!tail) return void this.fault(work.do, `there is no tail ${name}`);
      if (tail.mm < yarnEach(work) - 1e-9)
        this.fault(work.do, `${name} is ${tail.mm} mm long, and ${Math.ceil(yarnEach(work))} mm are sewn with it`);
      const at = this.together.get(tail.at!) ?? tail.at!;
      if (starts && !starts.includes(at)) this.fault(work.do, `${name} hangs at ${at}, not at ${starts[0]}`);
      this.tails.delete(name);
      return at;
    });
    if (new Set(ends).size < ends.length) this.fault(work.do, `${used.join(' and ')} hang at one end`);
  }

  /** A piece ends in the colour its last row is worked in, where it says one. */
  private checkEndsIn(id: string, piece: Piece, endsIn: string | undefined): void {
    const second = id !== piece.id ? piece.secondColour : undefined;
    const own = topColourOf(piece)?.(piece.rows) ?? bandsOf(piece).at(-1)!.colour ?? second ?? piece.colour;
    if (own !== undefined && own !== endsIn)
      this.fault('make', `${id} ends in ${own}, not in ${endsIn ?? 'no colour'}`);
  }

  /** What hangs has a colour: what goes on from a loop goes on in that loop's (handbook 4.4). */
  private goesOnIn(work: 'border' | 'free', id: string, colour: string | undefined): void {
    if (this.hand.live && this.hand.colour !== colour)
      this.fault(work, `${id} is worked in ${colour ?? 'no colour'}, and the loop is of ${this.hand.colour ?? 'none'}`);
  }

  /** Where there are colours, what is joined anew says which. */
  private joinedIn(work: 'border' | 'free', id: string, colour: string | undefined): void {
    if (this.coloured && !this.hand.live && colour === undefined)
      this.fault(work, `${id} is joined in a yarn of no colour, where there are several`);
  }

  protected override change(to: string): void {
    if (!this.hand.live) this.fault('change', 'there is no loop to draw it through');
    if (this.hand.colour === to) this.fault('change', `the loop is of ${to} already`);
    super.change(to);
  }

  /** Only what is worked in a spiral has a step, and it is levelled once. */
  protected override level(): void {
    if (!this.unlevel) this.fault('level', 'there is no step to level');
    this.unlevel = false;
  }

  protected override fill({ at = [] }: Extract<Work, { do: 'fill' }>): void {
    for (const spot of at) this.checkSpot('fill', 'what is marked', spot);
    if (this.filled) this.fault('fill', 'the thing is inside already');
    if (this.hand.live) this.fault('fill', 'the loop is still open');
    for (const lay of this.folds.flatMap(({ lays }) => lays))
      if (!this.joinedWhole(lay)) this.fault('fill', `${lay[0].piece}:${lay[0].edge} is still open`);
    this.filled = true;
  }

  protected override empty(): void {
    if (!this.filled) this.fault('empty', 'there is nothing inside');
    this.filled = false;
  }

  protected override turnThrough(id: string): void {
    if (!this.insideOut.delete(id)) this.fault('turn-through', `${id} has its right side outside`);
    this.whileEmpty('turn-through');
    this.onlyLevel('turn-through');
    super.turnThrough(id);
  }

  /** What is laid, sewn or worked on a piece has its right side outside. */
  private rightSideOut(work: Work['do'], spans: readonly Span[]): void {
    for (const { piece } of spans) if (this.insideOut.has(piece)) this.fault(work, `${piece} is still inside out`);
  }

  private onlyLevel(work: Work['do']): void {
    if (this.unlevel && this.hand.live) this.fault(work, 'the spiral’s step is not levelled');
  }

  private whileEmpty(work: Work['do']): void {
    if (this.filled) this.fault(work, 'the thing is still inside');
  }

  /** Layers face away from each other, and open the same way. */
  private checkFaces({ id, lays, inside }: Fold): void {
    if (inside === 'edges') return;
    for (const [a, b] of lays) {
      const [one, other] = [rawOf(a), rawOf(b)];
      const meets = a.piece === b.piece ? one === other : other === mirrored(one);
      if (!meets) this.fault('fold', `${id}: ${b.piece} shows its wrong side, or opens the other way`);
      const along = placesIn(a) === 1 || placesIn(b) === 1 || a.piece === b.piece;
      const level = Math.sign(a.to - a.from) === Math.sign(b.to - b.from);
      // row ends run up on both, the stitches of an edge against each other
      if (!along && level !== /left|right/.test(one))
        this.fault('fold', `${id}: ${b.piece} is laid the other way round`);
    }
  }

  /** A fold lays edges on each other, and with them the points they end at. */
  protected override fold(fold: Fold): void {
    if (this.folds.some(({ id }) => id === fold.id)) this.fault('fold', `${fold.id} is folded already`);
    this.checkFaces(fold);
    this.rightSideOut('fold', fold.lays.flat());
    for (const [a, b] of fold.lays) {
      const ends = this.pointsIn(a);
      const [first, last] = this.pointsIn(b);
      // one place alone has no way it runs: it meets the other where they share a point
      const turned = placesIn(b) === 1 && (first === ends[1] || last === ends[0]);
      (turned ? [last, first] : [first, last]).forEach((point, end) => {
        if (point !== ends[end]) this.together.set(point, ends[end]!);
      });
    }
    this.folds.push(fold);
  }

  protected override border(work: Border): void {
    const starts = work.path[0]!.spans.flatMap((span) => this.pointsIn(span));
    if (this.hand.live && !starts.includes(this.at!))
      this.fault('border', `${work.id} begins at ${starts[0]}, and the hook is at ${this.at}`);
    if (work.tail)
      this.useTails(
        work,
        work.path[0]!.spans.map((span) => this.pointsIn(span)[0]),
      );
    else if (!this.hand.live) this.hang(tailOf(work.id, 'start'), { mm: TAIL_MM, at: starts[0], of: work.id });
    this.goesOnIn('border', work.id, work.colour);
    if (!work.tail) this.joinedIn('border', work.id, work.colour);
    if (work.tail && this.hand.live)
      this.fault('border', `${work.id} is begun with a tail before the loop is fastened off`);
    this.whileEmpty('border');
    this.rightSideOut(
      'border',
      work.path.flatMap(({ spans }) => spans),
    );
    this.onlyLevel('border');
    let at: readonly string[] = this.hand.live ? [this.at!] : starts;
    this.checkWay(work);
    for (const stretch of work.path) {
      this.checkStretch(work, stretch);
      at = this.onward(work, stretch, at);
      this.checkEnds('border', stretch.spans);
      this.cover(stretch.spans);
    }
    work.path.forEach((stretch, index) => {
      const next = work.path[index + 1] ?? (work.closed ? work.path[0] : undefined);
      if (next) this.checkTurn(work, stretch, next);
    });
    // one place alone has no way it runs
    const began = work.path[0]!.spans.flatMap((span) => this.pointsIn(span).slice(0, placesIn(span) === 1 ? 2 : 1));
    if (work.closed) this.checkCorners(work);
    if (work.closed && !at.some((point) => began.includes(point)))
      this.fault('border', `${work.id} does not come round to where it began`);
    super.border(work);
    // each course of what does not come round goes back along the one before
    const end = work.courses % 2 === 1 ? at[0] : starts[0];
    this.at = work.closed ? (onItsOwn(work) ?? starts[0]) : end;
  }

  /** The hook goes the way its hand goes, and what is worked backwards has the right side facing (law, handbook 4.4). */
  private checkWay(work: Border): void {
    const { id, path, stitch, courses } = work;
    const faces = this.facesAlong(work);
    const backwards = stitch === 'reverse' && courses === 1 ? -1 : 1;
    path.forEach(({ spans: [nearest], lies }, index) => {
      const goes = goesAlong(nearest);
      if (goes !== 0 && goes !== faces[index]! * backwards)
        this.fault('border', `${id}, ${liesWords(lies)}: runs against the hook`);
      this.checkLies('border', id, nearest, lies, faces[index]!);
    });
    this.checkBegin(work, faces[0]!);
    if (stitch === 'reverse' && faces[0]! * (turnsIn(work) % 2 === 0 ? 1 : -1) < 0)
      this.fault('border', `${id} is worked backwards with the wrong side facing`);
  }

  /** What is said of a part of a way is how its places are seen: at that side, and that way up or down. */
  private checkLies(work: 'border' | 'seam', id: string, span: Span, lies: Lies, facing: number): void {
    const seen = this.seen(span, lies.up, facing);
    if (!seen) return;
    if (lies.side && seen.side && lies.side !== seen.side)
      this.fault(work, `${id}: said at the ${lies.side}, and it lies at the ${seen.side}`);
    const way = lies.way === 'up' || lies.way === 'on' ? 1 : -1;
    if (lies.way && lies.side && seen.rises !== 0 && seen.rises !== way)
      this.fault(work, `${id}: said to go ${lies.way}, and it goes ${seen.rises > 0 ? 'up' : 'down'}`);
  }

  private seen(span: Span, up: Lies['up'], facing: number) {
    return seenOf(span, this.edgeAt(span)?.count ?? 0, up ?? 'last', facing);
  }

  /** What is joined anew is joined at the side that is said, and gone on with the way it is said to be held. */
  private checkBegin(work: Border, facing: number): void {
    const from = beginningOf(work);
    if (this.hand.live || !from) return;
    const [{ spans, lies }] = work.path as [Stretch];
    // an end of a line of another layer is seen from there
    const own = lies.side !== undefined || ('line' in from && from.line === lies.line);
    const side = own ? sideSaid(from) : undefined;
    const starts = this.seen(spans[0], lies.up, facing)?.starts;
    if (side && starts && side !== starts)
      this.fault('border', `${work.id} is joined at the ${side}, and begins at the ${starts}`);
  }

  /** Which side of the nearest layer faces along each part of a way: 1 the right one, -1 the wrong one. */
  private facesAlong({ path, side }: Border): number[] {
    const faces = [side === 'wrong' ? -1 : 1];
    path.slice(1).forEach(({ spans }, index) => {
      const before = path[index]!.spans;
      const [i, j] = this.continued(before, spans);
      faces.push(faces[index]! * this.turnedFrom(before, i) * this.turnedFrom(spans, j));
    });
    return faces;
  }

  /** Which layer goes on as which from one part of a way to the next: where it ends, along its edge, else on its piece. */
  private continued(before: readonly Span[], next: readonly Span[]): readonly [number, number] {
    const pairs = before.flatMap((a, i) => next.map((b, j) => ({ a, b, at: [i, j] as const })));
    const points = (span: Span) => pointsOf(span, (edge) => this.edgeAt({ ...span, edge })?.count ?? 0);
    // one place alone has no way it runs
    const from = (span: Span) => points(span).slice(0, placesIn(span) === 1 ? 2 : 1);
    const to = (span: Span) => points(span).slice(placesIn(span) === 1 ? 0 : 1);
    const found =
      pairs.find(({ a, b }) => to(a).some((point) => from(b).includes(point))) ??
      pairs.find(({ a, b }) => a.piece === b.piece && a.edge === b.edge && Math.abs(b.from - a.to) === 1) ??
      pairs.find(({ a, b }) => a.piece === b.piece);
    return found?.at ?? [0, 0];
  }

  /** Whether a layer shows the same side as the nearest of those it lies among: layers on each other show unlike ones. */
  private turnedFrom([nearest, ...others]: readonly Span[], at: number): 1 | -1 {
    if (at === 0) return 1;
    const layer = others[at - 1]!;
    const on = (a: Span, b: Span) => this.liesOn(a, b) || this.liesOn(backwards(a), backwards(b));
    return on(nearest!, layer) ? -1 : 1;
  }

  /** Where the way goes from one edge of a border to another, the corner between them is worked. */
  private checkTurn({ id }: Border, { spans: [a] }: Stretch, { spans: [b], lies }: Stretch): void {
    if (a.piece !== b.piece) return;
    const corner = CORNERS.find((name) => name === `${rawOf(a)}-${rawOf(b)}` || name === `${rawOf(b)}-${rawOf(a)}`);
    const layer = a.edge.slice(0, a.edge.lastIndexOf('.') + 1);
    if (corner && this.edgeAt({ ...a, edge: layer + corner }))
      this.fault('border', `${id} leaves out the corner before ${liesWords(lies)}`);
  }

  /** What comes round leaves no corner out of the edges it goes along. */
  private checkCorners({ id, path }: Border): void {
    const there = new Set(path.flatMap(({ spans }) => spans.map(({ piece, edge }) => `${piece}:${edge}`)));
    for (const { piece, edge } of path.flatMap(({ spans }) => spans)) {
      if (rawOf({ edge }) !== 'last') continue;
      const missing = (['left', 'right'] as const).find((side) => {
        const corner = `${edge}-${side}`;
        return this.edgeAt({ piece, edge: corner, from: 1, to: 1 }) && !there.has(`${piece}:${corner}`);
      });
      if (missing) this.fault('border', `${id} leaves out the ${missing} corner of ${piece}:${edge}`);
    }
  }

  /** The points a stretch leads to from where the hook is. */
  private onward({ id }: Border, { spans, lies }: Stretch, at: readonly string[]): string[] {
    const ends = spans.map((span) => this.pointsIn(span));
    const near = [0, 1].find((end) => ends.some((pair) => at.includes(pair[end]!)));
    if (near === undefined) this.fault('border', `${id} leaps to ${liesWords(lies) || 'a corner'}`);
    // where several layers are worked through, all are reached; one place alone has no way it runs
    const alone = placesIn(spans[0]) === 1;
    return ends.flatMap((pair) => (alone ? pair : [pair[near === 1 ? 0 : 1]]));
  }

  private checkStretch({ id }: Border, { spans, stitches, corner, lies }: Stretch): void {
    const says = (what: string) => this.fault('border', `${id}, ${liesWords(lies) || 'corner'}: ${what}`);
    for (const span of spans) {
      const edge = this.edgeAt(span);
      if (!edge) return says(`there is no ${span.piece}:${span.edge}`);
      if (Math.min(span.from, span.to) < 1 || Math.max(span.from, span.to) > edge.count)
        says(`${span.edge} has ${edge.count} places, not ${Math.max(span.from, span.to)}`);
      if (corner && placesIn(span) !== 1) says('a corner is one place');
      if (this.covered.some((other) => overlaps(other, span))) says(`${span.edge} is covered already`);
    }
    const [a, ...others] = spans;
    // of layers with unlike rows the first one is picked up along, and the others follow it
    const along = pickedUp(this.edgeAt(a)!, a, this.pieceOf(a.piece)!.fabric);
    if (!corner && stitches !== along)
      says(`${stitches} stitches along ${placesIn(a)} places, where ${along} lie flat`);
    for (const b of others) {
      if (!this.asLong(a, b)) says(`${placesIn(a)} places on one side and ${placesIn(b)} on the other`);
      if (!spans.some((other) => this.liesOn(other, b))) says('the edges do not lie on each other');
    }
  }

  protected override seam(work: Seam): void {
    const { spans } = work;
    const [first, ...others] = spans;
    this.whileEmpty('seam');
    this.rightSideOut('seam', spans);
    this.useTails(
      work,
      spans.map((span) => this.pointsIn(span)[0]),
    );
    for (const span of spans) {
      if (!this.edgeAt(span)) return this.fault('seam', `there is no ${span.piece}:${span.edge}`);
      if (this.covered.some((other) => overlaps(other, span))) this.fault('seam', `${span.edge} is covered already`);
    }
    for (const other of others) {
      if (!this.asLong(first, other))
        this.fault('seam', `${placesIn(first)} places on one side, ${placesIn(other)} on the other`);
      if (!spans.some((one) => this.liesOn(one, other) || this.liesOn(backwards(one), backwards(other))))
        this.fault('seam', 'the edges do not lie on each other');
    }
    if (work.lies) this.checkLies('seam', work.lies.line ?? 'a side', first, work.lies, 1);
    this.checkEnds('seam', spans);
    this.cover(spans);
  }

  /** What is made by itself leaves no loop open, and each of its courses uses up what the one before made. */
  protected override free({ id, courses, times, from, tails, onward, layers, colour }: Free): void {
    this.once('free', id);
    this.reaches(id, layers);
    this.whileEmpty('free');
    if (times < 1) this.fault('free', `${id} is made ${times} times`);
    if (onward) {
      if (!this.hand.live) this.fault('free', `${id} goes on from a loop that is not there`);
      this.goesOnIn('free', id, colour);
    } else {
      if (this.hand.live) this.fault('free', `${id} is begun before the loop is fastened off`);
      this.joinedIn('free', id, colour);
      if (!from) this.loose.add(id);
      this.hangBoth(id, times, tails || TAIL_MM, courses.length);
    }
    courses.slice(1).forEach((course, index) => {
      const made = placesMade(courses[index]!);
      const used = placesUsed(course);
      if (made !== used) this.fault('free', `${id}: works into ${used} places where there are ${made}`);
    });
  }

  /** Each course goes back along the one before. */
  private hangBoth(id: string, times: number, mm: number, courses: number): void {
    for (let one = 1; one <= times; one += 1) {
      this.hang(tailOf(nth(id, one), 'start'), { mm, at: 'one end', of: id });
      this.hang(tailOf(nth(id, one), 'end'), { mm, at: courses % 2 === 1 ? 'the other end' : 'one end', of: id });
    }
  }

  /** What is sewn on must be there; what only sews is done once. */
  protected override sew(work: Sewing): void {
    const { id, what } = work;
    this.once('sew', id);
    this.whileEmpty('sew');
    this.useTails(work, undefined);
    if (work.open && this.folds.some(({ inside }) => inside !== 'edges'))
      this.fault('sew', `${id} is not reached any more`);
    this.reaches(id, work.layers);
    for (const spot of work.at ?? []) this.checkSpot('sew', id, spot);
    if (work.lines) this.checkLines(id, work.lines);
    if (what !== undefined && (work.open || work.layers === 'front')) this.onFront.add(what);
    if (what === undefined) return;
    if (!this.made.has(what) && !this.done.has(`free ${what}`)) this.fault('sew', `there is no ${what} to sew on`);
    this.loose.delete(what);
  }

  /** What is sewn on a face lies on it. */
  private checkSpot(work: 'sew' | 'fill', id: string, { on, inMm, below, above, of: { wide, high } }: Spot): void {
    const within = (mm: number | undefined, most: number) => mm === undefined || (mm >= 0 && mm <= most + 1e-6);
    const across = typeof inMm === 'number' ? inMm : undefined;
    if (!within(across, wide) || !within(below, high) || !within(above, high))
      this.fault(work, `${id} lies off the ${on}`);
  }

  /** Lines lie between columns that are there, one after the other, and reach no further than the mouth. */
  private checkLines(id: string, { between, of, mm, high }: NonNullable<Sewing['lines']>): void {
    between.forEach((at, index) => {
      if (at < 1 || at >= of) this.fault('sew', `${id}: there is no column ${at + 1} of ${of} to sew beside`);
      if (index > 0 && at <= between[index - 1]!)
        this.fault('sew', `${id}: line ${index + 1} comes before the one before it`);
    });
    if (mm > high + 1e-6) this.fault('sew', `${id} reaches beyond the opening`);
  }

  /** Both rows are marked in the same columns, by as many as there are names for. */
  protected override mark({ piece: id, rows, names }: Extract<Work, { do: 'mark' }>): void {
    const piece = this.pieceOf(id);
    if (!piece || !this.made.has(id)) return this.fault('mark', `there is no ${id} to mark`);
    const columns = rows.map(({ row, after }) => {
      if (row < 1 || row > piece.rows) this.fault('mark', `${id} has no row ${row}`);
      // each turn begins a row at the other end
      return after.map((count) => (row % 2 === 1 ? count : piece.stitches - count)).join();
    });
    if (new Set(columns).size > 1) this.fault('mark', `the rows of ${id} are marked in unlike columns`);
    for (const { after } of rows) {
      if (after.length !== names.length) this.fault('mark', `${after.length} marks for ${names.length} places`);
      if (after.some((count) => count < 1 || count >= piece.stitches)) this.fault('mark', `a mark beside ${id}`);
    }
  }

  /** What the needle goes through it must reach, and nothing else lies there yet (handbook 4.4). */
  private reaches(id: string, layers: Layers | undefined): void {
    const says = (what: string) => this.fault('sew', `${id} ${what}`);
    if (layers === 'both' && this.onFront.size > 0) says(`would go through ${[...this.onFront].join(' and ')}`);
    if (layers === 'front' && this.sewnIn.has('inside')) says('would go through the lining');
    if (layers === 'inside' && this.sewnIn.has('mouth')) says('comes under what is sewn to the mouth already');
    if (layers) this.sewnIn.add(layers);
  }

  protected override weaveIn(pieces: readonly string[] | 'all'): void {
    if (pieces !== 'all')
      for (const id of pieces) if (!this.made.has(id)) this.fault('weave-in', `there is no ${id} yet`);
    for (const [name, { mm, of }] of this.tails) {
      if (pieces !== 'all' && !pieces.includes(of)) continue;
      if (mm < WOVEN_MM) this.fault('weave-in', `${name} of ${mm} mm is too short to weave in`);
      this.tails.delete(name);
    }
  }

  /** Between the outermost layers no end is reached any more. */
  private checkEnds(work: 'border' | 'seam', spans: readonly Span[]): void {
    const inner = spans.length > 2 ? [spans[0]!, ...spans.slice(2, -1)] : [];
    const hang = (piece: string) => [...this.tails.values()].some(({ of }) => of === piece);
    const open = inner.find(({ piece }) => piece !== spans.at(-1)!.piece && hang(piece));
    if (open) this.fault(work, `the ends of ${open.piece} are closed over`);
  }

  private once(work: 'free' | 'sew', id: string): void {
    if (this.done.has(`${work} ${id}`)) this.fault(work, `${id} is done twice`);
    this.done.add(`${work} ${id}`);
  }

  private cover(spans: readonly Span[]): void {
    this.covered.push(...spans);
    if (spans.length > 1) this.joined.push(...spans);
  }

  /** Whether every place of two edges that lie on each other is joined. */
  private joinedWhole(lay: readonly [Span, Span]): boolean {
    return lay.every((span) => {
      const along = this.joined.filter((other) => overlaps(other, span));
      return along.reduce((sum, other) => sum + placesIn(other), 0) >= placesIn(span);
    });
  }

  private pointsIn(span: Span): readonly [string, string] {
    const [first, last] = pointsOf(span, (edge) => this.edgeAt({ ...span, edge })?.count ?? 0);
    return [this.together.get(first) ?? first, this.together.get(last) ?? last];
  }

  /** Whether two spans have as many places, or are as long to within what their multiples give where their stitches are unlike. */
  private asLong(a: Span, b: Span): boolean {
    if (placesIn(a) === placesIn(b)) return true;
    const [one, other] = [this.edgeAt(a), this.edgeAt(b)];
    const [p, q] = [this.pieceOf(a.piece), this.pieceOf(b.piece)];
    if (!one || !other || !p || !q || p.fabric.stitch.id === q.fabric.stitch.id) return false;
    // a stitch's multiple may put its count half a repeat off
    const off = ({ pitch }: Edge, { fabric }: Piece) => pitch * (1 + fabric.stitch.rows.repeat / 2);
    return Math.abs(lengthOf(one, a) - lengthOf(other, b)) <= Math.max(off(one, p), off(other, q));
  }

  /** Whether one span lies on another, place on place, by a fold that has been made. */
  private liesOn(a: Span, b: Span): boolean {
    return this.folds.some(({ lays }) => lays.some(([p, q]) => maps(p, q, a, b) || maps(q, p, a, b)));
  }
}

/** The side a landmark says, where it says one. */
const sideSaid = (landmark: Landmark): Side | undefined => ('side' in landmark ? landmark.side : undefined);

/** Stitches and chains a course leaves to be worked into: its loop of chains too. */
function placesMade(course: readonly Instruction[]): number {
  return course.reduce((sum, one) => {
    if (one.do === 'chain' || one.do === 'loop') return sum + one.chains;
    if (one.do === 'group') return sum + one.times * one.parts.reduce((all, part) => all + stitchesOf(part), 0);
    return one.do === 'work' || one.do === 'together' ? sum + one.times : sum;
  }, 0);
}

const stitchesOf = (part: GroupPart): number => ('stitch' in part ? part.count : 1);

/** Places a course takes up. */
function placesUsed(course: readonly Instruction[]): number {
  return course.reduce((sum, one) => {
    if (one.do === 'group' || one.do === 'together') return sum + one.times * one.over;
    return one.do === 'work' || one.do === 'skip' ? sum + one.times : sum;
  }, 0);
}

/** Round a mouth the hook comes to stand on the border itself; round corners it is at the one it began in. */
function onItsOwn({ id, path: [first, ...others] }: Border): string | undefined {
  const { piece, edge } = first!.spans[0];
  return others.length === 0 ? `${piece}:${id}.${edge}:0` : undefined;
}

/** The edge that lies on it where another piece lies behind, back to back. */
const mirrored = (edge: string): string =>
  edge.replace(/left|right/, (side) => OPPOSITE[side as keyof typeof OPPOSITE]);

const CORNERS = ['foundation-left', 'foundation-right', 'last-left', 'last-right'] as const;

function overlaps(a: Span, b: Span): boolean {
  if (a.piece !== b.piece || a.edge !== b.edge) return false;
  const from = Math.max(Math.min(a.from, a.to), Math.min(b.from, b.to));
  return from <= Math.min(Math.max(a.from, a.to), Math.max(b.from, b.to));
}

function maps(on: Span, under: Span, a: Span, b: Span): boolean {
  if (a.piece !== on.piece || a.edge !== on.edge || b.piece !== under.piece || b.edge !== under.edge) return false;
  const [many, others] = [placesIn(on), placesIn(under)];
  // rows unlike each other meet to within one of them, though there may be as many in all
  const alike = many === others && placesIn(a) === placesIn(b);
  const off = alike ? 0 : 1 + others / many;
  return [[a.from, b.from] as const, [a.to, b.to] as const].every(([at, to]) => {
    const step = (at - on.from) * Math.sign(on.to - on.from || 1);
    const meets = alike ? step : (step * others) / many;
    const there = under.from + meets * Math.sign(under.to - under.from || 1);
    return step >= 0 && step < many && Math.abs(there - to) <= off + 1e-9;
  });
}
