import {
  backwards,
  edgesOf,
  lengthOf,
  pickedUp,
  pointsOf,
  reversed,
  turned,
  wayFor,
  type Border,
  type BorderStitch,
  type Edge,
  type Fold,
  sideOfTail,
  tailOf,
  turnedLies,
  type Landmark,
  type Lies,
  type RawEdge,
  type Seam,
  type Span,
  type Stretch,
} from '../../piece';
import type { Piece, WorkStep } from '../definition';
import { crocheted, type Join } from './joins';
import { beginningAt, FRONT_TOP } from './panelWork';

/** A strip as its work sees it: two long sides that are joined, and the end that goes on over the top. */
export interface StripEdges {
  piece: Piece;
  /** Which edges are long, the one at the right of the front first. */
  long: readonly [RawEdge, RawEdge];
  /** The edge of the far end, with its corners; what it is on the finished piece. */
  end: RawEdge;
  endLies: Lies;
  /** The front's top edge. */
  near: RawEdge;
  /** Places of a long edge from the front's top, and how many of them are the front. */
  places: number;
  front: number;
  /** Place k from the front's top edge as the edge counts it. */
  placeOf: (k: number) => number;
}

const SIDES = ['right', 'left'] as const;

/** What lies at the other end of a strip from an edge. */
const OPPOSITE_END: Readonly<Record<RawEdge, RawEdge>> = {
  foundation: 'last',
  last: 'foundation',
  left: 'right',
  right: 'left',
};

/** The strip's edges as they are, or those its edging gave it. */
interface Outline {
  layer: string;
  places: number;
  front: number;
  /** How many places of the front have the back behind them: all, but where whole rows left it one shorter. */
  joined: number;
  placeOf: (k: number) => number;
  edge: (name: RawEdge) => Edge;
  /** The far end without its corners, from the first long edge to the second, and the corner at each. */
  end: Span;
  endPlaces: number;
  corner: (side: 0 | 1) => Span;
  /** Places at the far end of a long edge that are the corner's. */
  corners: 0 | 1;
}

function rawOutline({ piece, long, places, front, placeOf, end }: StripEdges): Outline {
  const edges = edgesOf(piece);
  const count = edges[end].count;
  // a corner is a stitch: of the end where that is a row, else of the long edge
  const inner = edges[end].kind === 'row-end' ? 0 : 1;
  const at = (edge: RawEdge, from: number, to: number): Span => ({ piece: piece.id, edge, from, to });
  const cornerPlace = (side: 0 | 1) => (long[side] === 'left' ? 1 : count);
  return {
    layer: '',
    places,
    front,
    joined: Math.min(front, places - front),
    placeOf,
    edge: (name) => edges[name],
    end: at(end, 1 + inner, count - inner),
    endPlaces: count - 2 * inner,
    corner: (side) =>
      inner === 1 ? at(end, cornerPlace(side), cornerPlace(side)) : at(long[side], placeOf(places), placeOf(places)),
    corners: inner === 1 ? 0 : 1,
  };
}

/** The edging of a rectangle all round, before anything is done with it: it goes on from where the last row ends. */
export function edgingAround(piece: Piece, courses: number, colour?: string): Border {
  const edges = edgesOf(piece);
  const n = piece.stitches;
  const rows = piece.rows;
  const at = (edge: RawEdge, from: number, to: number): Span => ({ piece: piece.id, edge, from, to });
  const along = (edge: RawEdge, from: number, to: number, lies: Lies): Stretch => {
    const span = at(edge, from, to);
    return { spans: [span], stitches: pickedUp(edges[edge], span, piece.fabric), lies };
  };
  const corner = (edge: RawEdge, place: number): Stretch => ({
    spans: [at(edge, place, place)],
    stitches: 1,
    corner: true,
    lies: {},
  });
  const down = along('left', rows, 1, { way: 'down', side: 'left' });
  const chain = along('foundation', 2, n - 1, { line: 'the foundation chain' });
  const up = along('right', 1, rows, { way: 'up', side: 'right' });
  const last = along('last', n - 1, 2, { line: 'the last row' });
  const bottom = [corner('foundation', 1), chain, corner('foundation', n)];
  const path =
    rows % 2 === 1
      ? [down, ...bottom, up, corner('last', n), last, corner('last', 1)]
      : [corner('last', n), last, corner('last', 1), down, ...bottom, up];
  return {
    do: 'border',
    id: 'edging',
    stitch: 'single',
    courses,
    ...(colour ? { colour } : {}),
    closed: true,
    from: { at: 'corner' },
    path: path.filter(({ stitches }) => stitches > 0),
  };
}

/** The strip as its edging leaves it: stitches along every side, a corner at each end. */
function edgedOutline(strip: StripEdges, courses: number): Outline {
  const { piece } = strip;
  const edges = edgesOf(piece);
  const w = piece.fabric.stitchWidth.value;
  const along = (to: number) => {
    const span = { piece: piece.id, edge: strip.long[0], from: strip.placeOf(1), to: strip.placeOf(to) };
    return pickedUp(edges[strip.long[0]], span, piece.fabric);
  };
  const side = along(strip.places) + 2 * courses;
  const front = along(strip.front) + courses;
  const end = Math.max(0, piece.stitches - 2) + 2 * courses;
  const at = (edge: string, from: number, to: number): Span => ({ piece: piece.id, edge: `edging.${edge}`, from, to });
  return {
    layer: 'edging.',
    places: side,
    front,
    joined: Math.min(front, side - front),
    placeOf: (k) => k,
    edge: () => ({ kind: 'stitch', count: side, pitch: w }),
    end: at(strip.end, 1, end),
    endPlaces: end,
    corner: (which) => at(`${strip.end}-${strip.long[which]}`, 1, 1),
    corners: 0,
  };
}

/** Front on back along both long sides, as the strip folds at its bottom. */
function foldOf({ piece, long }: StripEdges, { layer, front, joined, placeOf }: Outline): Fold {
  const span = (edge: RawEdge, from: number, to: number): Span => ({
    piece: piece.id,
    edge: layer + edge,
    from: placeOf(from),
    to: placeOf(to),
  });
  return {
    id: 'bottom',
    inside: 'wrong',
    lays: long.map((edge) => [span(edge, front, front - joined + 1), span(edge, front + 1, front + joined)]),
  };
}

export interface StripJoin {
  strip: StripEdges;
  join: Join;
  edging: number;
  /** One pass that joins a side, goes on round the far end and joins the other; or each side by itself. */
  pass: 'sides' | 'around';
  /** Tails that hang at the strip's corners when it is joined. */
  tails: readonly ('start' | 'end')[];
}

/** Fold at the bottom, and both sides closed: as one pass round the far end, or each by itself (handbook 4.4). */
export function joinedSides({ strip, join, edging, pass, tails }: StripJoin): { fold: Fold; joins: WorkStep[] } {
  const outline = edging > 0 ? edgedOutline(strip, edging) : rawOutline(strip);
  const fold = foldOf(strip, outline);
  const stitch = crocheted(join);
  if (!stitch) return { fold, joins: [sewnSides(strip, outline, join, tails)] };
  const borders =
    pass === 'around'
      ? [aroundPass(strip, outline, stitch)]
      : eachSide(strip, outline, stitch).map((border) => withItsTail(border, strip, outline, join, tails));
  return {
    fold,
    joins: borders.map((border, index) => ({
      id: index === 0 ? 'join-sides' : 'join-sides-2',
      section: 'joining',
      kind: 'assembly',
      does: [border, { do: 'fasten-off' }],
      check: {
        look: 'As many stitches on both layers, their top edges level?',
        repair: 'Pull it out to the fold and spread the stitches again.',
      },
      minutes: 2,
    })),
  };
}

/** The two layers of a side: from the fold up to the front's top edge. */
function sideSpans(
  { piece, long }: StripEdges,
  { layer, front, joined, placeOf }: Outline,
  side: 0 | 1,
): readonly [Span, Span] {
  const edge = layer + long[side];
  return [
    { piece: piece.id, edge, from: placeOf(front), to: placeOf(front - joined + 1) },
    { piece: piece.id, edge, from: placeOf(front + 1), to: placeOf(front + joined) },
  ];
}

const through = (spans: readonly [Span, Span], edge: Edge, { fabric }: Piece, lies: Lies): Stretch => ({
  spans,
  stitches: pickedUp(edge, spans[0], fabric),
  lies,
});

/** A side through both layers, up from the fold, the front towards the maker. */
function upSide(strip: StripEdges, outline: Outline, index: 0 | 1): Stretch {
  const side = SIDES[index];
  const at = (line: string): Landmark => ({ at: 'line', line, side });
  const lies: Lies = { through: 2, way: 'up', side, up: strip.near };
  return {
    ...through(sideSpans(strip, outline, index), outline.edge(strip.long[index]), strip.piece, lies),
    between: [at(BOTTOM_FOLD), at(topOfLayer('front'))],
  };
}

const BOTTOM_FOLD = 'the bottom fold';

const topOfLayer = (layer: string): string => `the ${layer}’s top edge`;

const joinPass = (id: string, stitch: BorderStitch, path: readonly Stretch[]): Border => ({
  do: 'border',
  id,
  stitch,
  courses: 1,
  closed: false,
  near: 'front',
  path: wayFor(path, stitch),
});

/** With the front towards the maker the right side is worked up from the fold, the left one down from the top. */
const eachSide = (strip: StripEdges, outline: Outline, stitch: BorderStitch): Border[] => [
  joinPass('join-right', stitch, [upSide(strip, outline, 0)]),
  joinPass('join-left', stitch, [turned(upSide(strip, outline, 1))]),
];

/** A side that is slip stitched from where a tail hangs is worked with it: two ends fewer (handbook 4.4). */
function withItsTail(
  border: Border,
  strip: StripEdges,
  outline: Outline,
  join: Join,
  tails: StripJoin['tails'],
): Border {
  if (border.stitch !== 'slip' || outline.layer !== '') return border;
  const { spans } = border.path[0]!;
  const layers = ['front', 'back'] as const;
  const hung = spans.flatMap((span, layer) => {
    const end = tails.find((one) => cornerOfTail(strip, one) === topOf(strip, backwards(span)));
    const at: Landmark = { at: 'line', line: topOfLayer(layers[layer] ?? 'back') };
    return end ? [{ name: tailOf(strip.piece.id, end), at }] : [];
  })[0];
  const mm = join.factor * lengthOf(edgesOf(strip.piece)[strip.long[0]], spans[0]);
  return hung ? { ...border, tail: { ...hung, mm } } : border;
}

/** Where a side ends at its top, as the edge counts it. */
function topOf({ piece }: StripEdges, span: Span): string {
  const edges = edgesOf(piece);
  return pointsOf(span, (edge) => edges[edge as RawEdge].count)[1];
}

/** Up one side through both layers, round what goes on above the front, down the other side. */
function aroundPass(strip: StripEdges, outline: Outline, stitch: BorderStitch): Border {
  const { front, joined, places } = outline;
  // a corner stitch of a long edge may be joined already
  const turns = outline.corners === 0 || places > front + joined;
  const cornerAt = (side: 0 | 1) => (turns ? [cornerOf(outline, side)] : []);
  const path = [
    upSide(strip, outline, 0),
    restOf(strip, outline, 0),
    ...cornerAt(0),
    endOf(strip, outline),
    ...cornerAt(1),
    turned(restOf(strip, outline, 1)),
    turned(upSide(strip, outline, 1)),
  ];
  return joinPass(
    'around',
    stitch,
    path.filter(({ stitches, corner }) => corner || stitches > 0),
  );
}

/** The corner of the strip a tail hangs at. */
const cornerOfTail = ({ piece }: StripEdges, end: 'start' | 'end'): string =>
  `${piece.id}:${sideOfTail(piece, end)}:${end === 'start' ? 0 : piece.rows}`;

/** A side as it is sewn: down from a tail that hangs at its top, else up from the fold with yarn of its own. */
function sewnSide(
  strip: StripEdges,
  outline: Outline,
  side: 0 | 1,
  tails: StripJoin['tails'],
): Pick<Seam, 'spans' | 'lies' | 'between' | 'tail'> {
  const [front, back] = sideSpans(strip, outline, side);
  const lies: Lies = { way: 'up', side: SIDES[side], up: strip.near };
  const line = (name: string): Landmark => ({ at: 'line', line: name });
  for (const [span, layer] of [
    [front, 'front'],
    [back, 'back'],
  ] as const) {
    const end = tails.find((one) => cornerOfTail(strip, one) === topOf(strip, span));
    if (end)
      return {
        spans: [backwards(front), backwards(back)],
        lies: turnedLies(lies),
        between: { to: line(BOTTOM_FOLD) },
        tail: { name: tailOf(strip.piece.id, end), at: line(topOfLayer(layer)) },
      };
  }
  return { spans: [front, back], lies, between: { from: line(BOTTOM_FOLD), to: line(topOfLayer('front')) } };
}

/** Both sides with needle and yarn, place by place. */
function sewnSides(strip: StripEdges, outline: Outline, join: Join, tails: StripJoin['tails']): WorkStep {
  const mm = lengthOf(outline.edge(strip.long[0]), sideSpans(strip, outline, 0)[0]);
  const how = join.id === 'mattress' ? 'mattress' : 'whip';
  return {
    id: 'join-sides',
    section: 'joining',
    kind: 'assembly',
    does: [0, 1].map((side) => ({
      do: 'seam',
      how,
      ...sewnSide(strip, outline, side as 0 | 1, outline.layer === '' ? tails : []),
      factor: join.factor,
      mm,
      through: outline.edge(strip.long[0]).kind === 'row-end' ? 'the row ends' : 'the edge loops',
    })),
    check: {
      look: 'Both top edges level, and no gap along the sides?',
      repair: 'Unpick back to the fold and match both layers place by place.',
    },
    minutes: 8,
  };
}

/** A long edge above the front, on one layer: up from where the joined part ends. */
function restOf({ piece, long, near }: StripEdges, outline: Outline, side: 0 | 1): Stretch {
  const { layer, front, joined, places, placeOf, corners } = outline;
  const to = places - corners;
  const span = { piece: piece.id, edge: layer + long[side], from: placeOf(front + joined + 1), to: placeOf(to) };
  return {
    spans: [span],
    stitches: to > front + joined ? pickedUp(outline.edge(long[side]), span, piece.fabric) : 0,
    lies: { way: 'on', side: SIDES[side], of: 'edge', up: OPPOSITE_END[near] },
  };
}

const cornerOf = (outline: Outline, side: 0 | 1): Stretch => ({
  spans: [outline.corner(side)],
  stitches: 1,
  corner: true,
  lies: {},
});

function endOf(strip: StripEdges, outline: Outline): Stretch {
  const { piece, end, endLies } = strip;
  const edge = outline.layer === '' ? edgesOf(piece)[end] : outline.edge(end);
  const { endPlaces } = outline;
  return {
    spans: [outline.end],
    stitches: endPlaces > 0 ? pickedUp(edge, outline.end, piece.fabric) : 0,
    lies: endLies,
  };
}

/**
 * The way round the opening once the sides are joined, to the left as it is seen from outside: along the front's top edge, up
 * what goes on above the front at its left, along its end and down again.
 */
export function rimOf(strip: StripEdges, edging: number): Stretch[] {
  const outline = edging > 0 ? edgedOutline(strip, edging) : rawOutline(strip);
  const { places, front, joined } = outline;
  const above = places > front + joined;
  // where nothing goes on above the front the way does not turn, and a long edge's corner stitch is joined
  const { lies } = endOf(strip, outline);
  const turn = (side: 0 | 1): Stretch =>
    above ? { ...cornerOf(outline, side), corner: true } : { ...cornerOf(outline, side), corner: false, lies };
  const corner = (side: 0 | 1): Stretch[] => (outline.corners === 1 && !above ? [] : [turn(side)]);
  // seen from outside what goes on above the front shows its other face: it has no left and right of the front's
  const beside = (side: 0 | 1, of: string): Stretch => ({ ...restOf(strip, outline, side), lies: { way: 'up', of } });
  const path = [
    beside(0, 'its other edge'),
    ...corner(0),
    endOf(strip, outline),
    ...corner(1),
    turned(beside(1, 'the back’s edge')),
    ...reversed(frontRest(strip, outline, 1)),
    ...frontTop(strip, outline),
    ...frontRest(strip, outline, 0),
  ];
  const way = reversed(path.filter(({ stitches, corner: turns }) => turns || stitches > 0));
  return beginningAt(way, { at: 'end', line: FRONT_TOP, side: 'right' });
}

/** Where the front is a row longer than what lies behind it: up its edge from the joined part's end; nothing else. */
function frontRest({ piece, long, near }: StripEdges, outline: Outline, side: 0 | 1): Stretch[] {
  const { layer, front, joined, placeOf } = outline;
  if (front <= joined) return [];
  const span = { piece: piece.id, edge: layer + long[side], from: placeOf(1), to: placeOf(front - joined) };
  const stitches = pickedUp(outline.edge(long[side]), span, piece.fabric);
  return [{ spans: [span], stitches, lies: { way: 'down', of: 'its edge', up: near } }];
}

/** The front's top edge from its left to its right; of an edging, with its corners. */
function frontTop({ piece, near, long }: StripEdges, { layer, endPlaces }: Outline): Stretch[] {
  const at = (name: string, from: number, to: number): Span => ({ piece: piece.id, edge: layer + name, from, to });
  const lies: Lies = { line: FRONT_TOP, up: near };
  if (layer === '') {
    const edge = edgesOf(piece)[near];
    const span = at(near, edge.count, 1);
    return [{ spans: [span], stitches: pickedUp(edge, span, piece.fabric), lies }];
  }
  const corner = (side: RawEdge): Stretch => ({ spans: [at(`${near}-${side}`, 1, 1)], stitches: 1, lies });
  return [corner(long[1]), { spans: [at(near, endPlaces, 1)], stitches: endPlaces, lies }, corner(long[0])];
}
