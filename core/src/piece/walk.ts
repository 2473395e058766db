import { work as makeStitches } from '../craft/fabric';
import { borderCourses, outerEdges, turnsIn, type BorderPart } from './border';
import { allEdges, type Edge, type Span } from './edge';
import type { Piece } from './piece';
import type { Border, Fold, Free, Seam, Sewing, Work } from './work';

/** How the yarn hangs, and which side is seen. */
export interface Hand {
  live: boolean;
  /** The piece the loop belongs to. */
  of: string;
  /** The side of it that faces. */
  facing: 'right' | 'wrong';
  /** The colour of its loop, where it is of colours. */
  colour?: string | undefined;
}

/** A piece of work with the hand as it was before it; of a border its courses too. */
export interface Walked {
  work: Work;
  before: Hand;
  courses: BorderPart[][];
}

/** The second of two pieces alike has a name of its own. */
export const nth = (piece: string, one: number): string => (one === 1 ? piece : `${piece}/${one}`);

/**
 * Goes through work from the first chain to the last tail as a maker would: what words, tally and drawing need to know of it.
 * Whether it can be done so is the referee's to say, who goes the same way.
 *
 * @param pieces those the work speaks of
 * @param visit sees each piece of work with the hand before it, so that words cannot claim another place than was walked
 */
export function walk(works: readonly Work[], pieces: readonly Piece[], visit: (walked: Walked) => void): void {
  new Walk(pieces, visit).go(works);
}

/** The hand on its way: how it holds the yarn, and which edges there are by now. */
export class Walk {
  protected hand: Hand = { live: false, of: '', facing: 'right' };
  protected readonly pieces: ReadonlyMap<string, Piece>;
  private readonly edges = new Map<string, Edge>();

  constructor(
    pieces: readonly Piece[],
    private readonly visit: (walked: Walked) => void,
  ) {
    this.pieces = new Map(pieces.map((piece) => [piece.id, piece]));
  }

  go(works: readonly Work[]): void {
    for (const work of works) this.step(work);
  }

  private step(work: Work): void {
    const courses = this.coursesOf(work);
    this.visit({ work, before: this.hand, courses });
    switch (work.do) {
      case 'make':
        return this.make(work.piece, work.leave, work.endsIn);
      case 'again':
        return this.go(work.works);
      case 'border':
        return this.border(work);
      case 'seam':
        return this.seam(work);
      case 'free':
        return this.free(work);
      case 'sew':
        return this.sew(work);
      case 'weave-in':
        return this.weaveIn(work.pieces === 'all' ? 'all' : work.pieces.map(({ id }) => id));
      case 'fold':
        return this.fold(work.fold);
      case 'fasten-off':
        return this.fastenOff(work.leave);
      case 'change':
        return this.change(work.to);
      case 'mark':
        return this.mark(work);
      case 'fill':
        return this.fill(work);
      case 'empty':
        return this.empty();
      case 'turn-through':
        return this.turnThrough(work.piece);
      case 'level':
        return this.level();
    }
  }

  private coursesOf(work: Work): BorderPart[][] {
    if (work.do === 'border') return borderCourses(work, (span) => this.edgeAt(span) ?? NO_EDGE);
    if (work.do === 'level') return [[{ stretch: undefined, instructions: [slipped(work)] }]];
    if (work.do !== 'free') return [];
    return work.courses.map((instructions) => [{ stretch: undefined, instructions: [...instructions] }]);
  }

  protected make(id: string, _leave?: number, colour?: string): void {
    const piece = this.pieceOf(id);
    if (!piece) return;
    for (const [name, edge] of allEdges(piece)) this.edges.set(`${id}:${name}`, edge);
    // the first row has its right side facing, and each turn shows the other one; rounds are never turned
    const inRows = piece.rows % 2 === 1 ? 'right' : 'wrong';
    const facing = piece.worked === 'rounds' ? (piece.facing ?? 'right') : inRows;
    this.hand = { live: true, of: id, facing, colour };
  }

  protected border(work: Border): void {
    const [span] = work.path[0]!.spans;
    for (const [name, edge] of outerEdges(work, this.widthAt(span))) this.edges.set(`${span.piece}:${name}`, edge);
    const faces = work.side ?? 'right';
    const facing = turnsIn(work) % 2 === 0 ? faces : other(faces);
    this.hand = { live: true, of: span.piece, facing, colour: work.colour };
  }

  protected seam(_work: Seam): void {}

  /** Begun and ended by itself. */
  protected free(_free: Free): void {}

  protected sew(_sewing: Sewing): void {}

  protected weaveIn(_pieces: readonly string[] | 'all'): void {}

  protected fold(_fold: Fold): void {}

  protected fastenOff(_leave?: number): void {
    this.hand = { ...this.hand, live: false };
  }

  protected change(to: string): void {
    this.hand = { ...this.hand, colour: to };
  }

  protected level(): void {}

  protected mark(_mark: Extract<Work, { do: 'mark' }>): void {}

  protected fill(_fill: Extract<Work, { do: 'fill' }>): void {}

  protected empty(): void {}

  /** What faced comes inside, and what goes on has the outside facing. */
  protected turnThrough(piece: string): void {
    if (this.hand.of === piece) this.hand = { ...this.hand, facing: other(this.hand.facing) };
  }

  protected edgeAt({ piece, edge }: Span): Edge | undefined {
    return this.edges.get(`${piece}:${edge}`);
  }

  protected pieceOf(id: string): Piece | undefined {
    return this.pieces.get(id.split('/')[0]!);
  }

  /** Width of a stitch on the piece a span belongs to, mm. */
  protected widthAt({ piece }: Span): number {
    return this.pieceOf(piece)?.fabric.stitchWidth.value ?? 1;
  }
}

const other = (side: Hand['facing']): Hand['facing'] => (side === 'right' ? 'wrong' : 'right');

const slipped = ({ slips }: { slips: number }) => makeStitches('slip', slips);

const NO_EDGE: Edge = { kind: 'stitch', count: 0, pitch: 0 };
