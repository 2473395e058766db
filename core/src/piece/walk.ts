import { borderCourses, outerEdges, type BorderPart } from './border';
import { backwards, edgesOf, pickedUp, placesIn, pointsOf, type Edge, type Span } from './edge';
import type { Piece } from './piece';
import type { Border, Fold, Seam, Stretch, Work } from './work';

/** Where the yarn hangs, and which side is seen. */
export interface Hand {
  live: boolean;
  /** The point the loop hangs at. */
  at: string | null;
  facing: 'right' | 'wrong';
}

/** A step that cannot be done as it is told. */
export interface WorkFault {
  work: Work['do'];
  says: string;
}

/** What is there after so much work. */
interface World {
  hand: Hand;
  pieces: ReadonlyMap<string, Piece>;
  made: Set<string>;
  edges: Map<string, Edge>;
  covered: Span[];
  /** Those of them that were worked or sewn through two layers. */
  joined: Span[];
  folds: Fold[];
  /** Points that have come to lie on each other, by any name of theirs. */
  together: Map<string, string>;
  faults: WorkFault[];
}

/** A piece of work with the hand as it was before it; of a border its courses too. */
export interface Walked {
  work: Work;
  before: Hand;
  courses: BorderPart[][];
  /** Whether it is part of making a piece once more. */
  again: boolean;
}

/**
 * Goes through the work from the first chain to the last tail as a maker would, and tells what cannot be done so: a border
 * that begins where the hook is not, works along places that are not there or are covered already, does not hang together,
 * or joins edges that differ in count or do not lie on each other; a loop left open; a piece never made (handbook 4.4).
 *
 * @param pieces those the work speaks of
 * @param visit sees each piece of work with the hand before it, so that words cannot claim another place than was walked
 */
export function walk(works: readonly Work[], pieces: readonly Piece[], visit?: (walked: Walked) => void): WorkFault[] {
  const world: World = {
    hand: { live: false, at: null, facing: 'right' },
    pieces: new Map(pieces.map((piece) => [piece.id, piece])),
    made: new Set(),
    edges: new Map(),
    covered: [],
    joined: [],
    folds: [],
    together: new Map(),
    faults: [],
  };
  for (const work of works) step(world, work, (walked) => visit?.(walked), false);
  if (world.hand.live) fault(world, 'fasten-off', 'the last loop is left open');
  for (const { lays } of world.folds)
    for (const lay of lays)
      if (!joinedWhole(world, lay)) fault(world, 'fold', `${lay[0].piece}:${lay[0].edge} is not joined all along`);
  for (const { id, times } of pieces)
    for (let one = 1; one <= times; one += 1)
      if (!world.made.has(nth(id, one))) fault(world, 'make', `${nth(id, one)} is never made`);
  return world.faults;
}

/** The second of two pieces alike has a name of its own. */
export const nth = (piece: string, one: number): string => (one === 1 ? piece : `${piece}/${one}`);

function step(world: World, work: Work, visit: (walked: Walked) => void, again: boolean): void {
  const courses = work.do === 'border' ? borderCourses(work, (span) => edgeAt(world, span) ?? NO_EDGE) : [];
  visit({ work, before: world.hand, courses, again });
  switch (work.do) {
    case 'make':
      return make(world, work.piece);
    case 'again':
      return work.works.forEach((one) => step(world, one, visit, true));
    case 'border':
      return border(world, work);
    case 'seam':
      return seam(world, work);
    case 'fold':
      if (world.folds.some(({ id }) => id === work.fold.id)) fault(world, work.do, `${work.fold.id} is folded already`);
      return layTogether(world, work.fold);
    case 'fasten-off':
      if (!world.hand.live) fault(world, work.do, 'there is no loop to fasten off');
      world.hand = { ...world.hand, live: false };
  }
}

const NO_EDGE: Edge = { kind: 'stitch', count: 0, pitch: 0 };

function fault(world: World, work: Work['do'], says: string): void {
  world.faults.push({ work, says });
}

function make(world: World, id: string): void {
  const piece = world.pieces.get(id.split('/')[0]!);
  if (!piece) return fault(world, 'make', `there is no ${id}`);
  if (world.hand.live) fault(world, 'make', `${id} is begun before the loop is fastened off`);
  if (world.made.has(id)) fault(world, 'make', `${id} is made twice`);
  world.made.add(id);
  for (const [name, edge] of Object.entries(edgesOf(piece))) world.edges.set(`${id}:${name}`, edge);
  // the first row goes from right to left with its right side facing, and each turn sends the hook back
  const odd = piece.rows % 2 === 1;
  world.hand = { live: true, at: `${id}:${odd ? 'left' : 'right'}:${piece.rows}`, facing: odd ? 'right' : 'wrong' };
}

const edgeAt = ({ edges }: World, { piece, edge }: Span) => edges.get(`${piece}:${edge}`);

function pointsIn(world: World, span: Span): readonly [string, string] {
  const [first, last] = pointsOf(span, (edge) => edgeAt(world, { ...span, edge })?.count ?? 0);
  return [world.together.get(first) ?? first, world.together.get(last) ?? last];
}

/** A fold lays edges on each other, and with them the points they end at. */
function layTogether(world: World, fold: Fold): void {
  for (const [a, b] of fold.lays) {
    const ends = pointsIn(world, a);
    const [first, last] = pointsIn(world, b);
    // one place alone has no way it runs: it meets the other where they share a point
    const turned = placesIn(b) === 1 && (first === ends[1] || last === ends[0]);
    const others = turned ? [last, first] : [first, last];
    others.forEach((point, end) => {
      if (point !== ends[end]) world.together.set(point, ends[end]!);
    });
  }
  world.folds.push(fold);
}

function border(world: World, work: Border): void {
  const [first] = work.path;
  const starts = first!.spans.flatMap((span) => pointsIn(world, span));
  if (world.hand.live && !starts.includes(world.hand.at!))
    fault(world, 'border', `${work.id} begins at ${starts[0]}, and the hook is at ${world.hand.at}`);
  let at: readonly string[] = world.hand.live ? [world.hand.at!] : starts;
  for (const stretch of work.path) {
    checkStretch(world, work, stretch);
    const ends = stretch.spans.map((span) => pointsIn(world, span));
    const near = [0, 1].find((end) => ends.some((pair) => at.includes(pair[end]!)));
    if (near === undefined) fault(world, 'border', `${work.id} leaps to ${stretch.name}`);
    // where two layers are worked through, both are reached; one place alone has no way it runs
    const alone = placesIn(stretch.spans[0]) === 1;
    at = ends.flatMap((pair) => (alone ? pair : [pair[near === 1 ? 0 : 1]]));
    cover(world, stretch.spans);
  }
  if (work.closed && !at.some((point) => starts.includes(point)))
    fault(world, 'border', `${work.id} does not come round to where it began`);
  const { piece } = first!.spans[0];
  for (const [name, edge] of outerEdges(work, widthOf(world, first!.spans[0])))
    world.edges.set(`${piece}:${name}`, edge);
  world.hand = { live: true, at: work.closed ? starts[0]! : at[0]!, facing: 'right' };
}

const widthOf = ({ pieces }: World, { piece }: Span) => pieces.get(piece.split('/')[0]!)?.fabric.stitchWidth.value ?? 1;

function checkStretch(world: World, { id }: Border, { spans, stitches, corner, name }: Stretch): void {
  const says = (what: string) => fault(world, 'border', `${id}, ${name}: ${what}`);
  for (const span of spans) {
    const edge = edgeAt(world, span);
    if (!edge) return says(`there is no ${span.piece}:${span.edge}`);
    if (Math.min(span.from, span.to) < 1 || Math.max(span.from, span.to) > edge.count)
      says(`${span.edge} has ${edge.count} places, not ${Math.max(span.from, span.to)}`);
    if (corner && placesIn(span) !== 1) says('a corner is one place');
    const along = pickedUp(edge, placesIn(span), widthOf(world, span));
    if (!corner && stitches !== along)
      says(`${stitches} stitches along ${placesIn(span)} places, where ${along} lie flat`);
    if (world.covered.some((other) => overlaps(other, span))) says(`${span.edge} is covered already`);
  }
  const [a, ...others] = spans;
  for (const b of others) {
    if (placesIn(a) !== placesIn(b)) says(`${placesIn(a)} places on one side and ${placesIn(b)} on the other`);
    if (!spans.some((other) => liesOn(world, other, b))) says('the edges do not lie on each other');
  }
}

function cover({ covered, joined }: World, spans: readonly Span[]): void {
  covered.push(...spans);
  if (spans.length > 1) joined.push(...spans);
}

/** Whether every place of two edges that lie on each other is joined. */
function joinedWhole({ joined }: World, lay: readonly [Span, Span]): boolean {
  return lay.every((span) => {
    const along = joined.filter((other) => overlaps(other, span));
    return along.reduce((sum, other) => sum + placesIn(other), 0) >= placesIn(span);
  });
}

function overlaps(a: Span, b: Span): boolean {
  if (a.piece !== b.piece || a.edge !== b.edge) return false;
  return (
    Math.max(Math.min(a.from, a.to), Math.min(b.from, b.to)) <= Math.min(Math.max(a.from, a.to), Math.max(b.from, b.to))
  );
}

/** Whether one span lies on another, place on place, by a fold that has been made. */
function liesOn({ folds }: World, a: Span, b: Span): boolean {
  return folds.some(({ lays }) =>
    lays.some(([p, q]) => [[p, q] as const, [q, p] as const].some(([on, under]) => maps(on, under, a, b))),
  );
}

function maps(on: Span, under: Span, a: Span, b: Span): boolean {
  return [[a.from, b.from] as const, [a.to, b.to] as const].every(([at, to]) => {
    if (a.piece !== on.piece || a.edge !== on.edge || b.piece !== under.piece || b.edge !== under.edge) return false;
    const step = (at - on.from) * Math.sign(on.to - on.from || 1);
    return step >= 0 && step < placesIn(on) && under.from + step * Math.sign(under.to - under.from || 1) === to;
  });
}

function seam(world: World, { spans }: Seam): void {
  const [first, ...others] = spans;
  for (const span of spans) {
    if (!edgeAt(world, span)) return fault(world, 'seam', `there is no ${span.piece}:${span.edge}`);
    if (world.covered.some((other) => overlaps(other, span))) fault(world, 'seam', `${span.edge} is covered already`);
  }
  for (const other of others) {
    if (placesIn(first) !== placesIn(other))
      fault(world, 'seam', `${placesIn(first)} places on one side, ${placesIn(other)} on the other`);
    if (!spans.some((one) => liesOn(world, one, other) || liesOn(world, backwards(one), backwards(other))))
      fault(world, 'seam', 'the edges do not lie on each other');
  }
  cover(world, spans);
}
