import { markBothEnds } from '../common/markers';
import { multipleOf, nearestCounts } from '../../craft/counts';
import { STITCHES, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Advice, type Figure } from '../../base/figure';
import { bottomGive, crossing, flapTurn } from '../../craft/fit';
import { type Field, mmToken, plural } from '../../base/units';
import type { Built, FlapPlace, Piece, ShapeContext, ShapeDefinition, WorkStep } from '../definition';
import { countFigure, faceChoice, pickAdvice } from '../common/choice';
import {
  besideColumns,
  flapOverlap,
  leastReach,
  lessRim,
  sizedWithRim,
  wantedFront,
  wantedRound,
  wholeFront,
  withRim,
} from '../common/flat';
import { tailOf } from '../../piece';
import { crocheted, joinField, joinOf, pieceEnd, sewnInOnePass } from '../common/joins';
import { canBeStacked, stackFold, stackJoin, stackLips, stackSeams, type Stack } from './work';
import { rowPiece } from '../common/rowPiece';
import { alsoOf, insideFaces, sized, type Sized } from '../common/sized';
import { overThing } from '../common/strip';
import { layeredViews } from './views';

type Mm = Figure<'mm'>;

/** More inner layers than this are too thick to fold and to sew (prior, handbook 5.10). */
const MOST_INNER = 2;

/** The loop is so wide against the pouch, and so much longer than the belt, mm (prior, ours). */
const LOOP = { share: 0.4, leastMm: 20, easeMm: 12 } as const;

const options: readonly Field[] = [
  joinField('Sewn round', 'Through all layers at once.'),
  { key: 'inner', kind: 'number', label: 'Pocket pieces', unit: '', whole: true, min: 1, max: 4, default: 1 },
  {
    key: 'pocketStitch',
    kind: 'choice',
    label: 'Inner pocket in',
    help: 'The pocket next to the back.',
    options: [
      { id: 'same', name: 'the same stitch' },
      ...STITCHES.filter(({ wantsSwatch }) => !wantsSwatch).map(({ id }) => ({ id, name: `{${id}}` })),
    ],
    default: 'same',
  },
  {
    key: 'beltMm',
    kind: 'length',
    label: 'Belt width',
    help: 'For the loop behind; 0 leaves it off.',
    min: 0,
    max: 120,
    default: 40,
  },
];

/**
 * A back with its flap, one or more pocket pieces before it, a loop behind for a belt, sewn round through all layers
 * (handbook 5.10). The first pocket piece holds the thing; each further one is lower by a quarter.
 */
function build(context: ShapeContext): Built {
  const { fabric, thing, options: given, picks, demands } = context;
  const join = joinOf(given.join);
  const take = chosen(join.take, 'stitches', 'taken by the join');
  const w = fabric.stitchWidth;
  const t = fabric.thickness;
  const inner = Number(given.inner);
  const faceOf = (count: number) => (count - 2 * take.value) * w.value;
  const choice = faceChoice(wantedRound(context).face, faceOf, context);
  const n = countFigure(choice, w, { asked: 'F', size: 'w', count: 'n' }, 'stitches', picks);
  const front = wantedFront(context);
  const overlap = flapOverlap(demands, thing.height);
  const back = rowPiece(
    {
      id: 'body',
      name: 'Back with flap',
      fabric,
      stitches: n,
      lengths: [
        { name: 'back', figure: wholeFront(context) },
        {
          name: 'turn',
          figure: derive(
            'mm',
            'turn − over',
            { turn: turnOver(context, wholeFront(context), inner), over: overThing(wholeFront(context), context) },
            (v) => Math.max(0.1, v.turn - v.over),
          ),
        },
        { name: 'flap', figure: lessRim(overlap, context) },
      ],
      edge: 'seam',
      notes: ([first]) => ({
        [first!.to]: markBothEnds('. The back ends here; the top fold starts with the next row.'),
      }),
    },
    context,
  );
  const pockets = Array.from({ length: inner }, (_, index) => pocketPiece(context, n, front, index));
  refuseCoarse({ back, pockets });
  const loop = loopPiece(context, n.value);
  const face = sized('F = (n − 2 take) w', { n, take, w }, (v) => (v.n - 2 * v.take) * v.w);
  const girth = insideFaces(face, t, thing.pockets);
  const rows = chosen(pockets[0]!.height.value / fabric.rowHeight.value, 'rows', 'rows of the pocket');
  const depth = sizedWithRim(
    sized(
      'inside = rows × h − D/2 − πt/4',
      { rows, h: fabric.rowHeight, D: thing.depth, t },
      (v) => v.rows * v.h - v.D / 2 - (Math.PI * v.t) / 4,
    ),
    context,
  );
  const reach = flapReach(context, back, pockets[0]!, inner);
  const flap: FlapPlace = {
    piece: back.id,
    row: back.rows,
    stitches: back.stitches,
    width: back.width,
    edge: 'last',
    edgeBelowFrontTop: reach.figure,
    frontMm: pockets[0]!.height.value,
    borderMm: 0,
  };
  return {
    pieces: [back, ...pockets, ...(loop ? [loop] : [])],
    ...(inner > 1 ? { pockets: pockets.map((pocket, index) => pocketDepth(pocket, index, context)) } : {}),
    inside: { girth: girth.figure, depth: depth.figure },
    outside: {
      width: back.width,
      height: withRim(pockets[0]!.height, context),
      thickness: sized(
        'D + layers × t',
        { D: thing.depth, t, layers: chosen(inner + 2, '1', 'layers with the flap') },
        (v) => v.D + v.layers * v.t,
      ).figure,
    },
    choices: [choice],
    model: {
      girth: girth.of,
      depth: depth.of,
      wander: { courses: pockets[0]!.rows, lies: 'apart' },
      stretch: fabric.stitch.factors.stretchAcross,
      flap: { reach: reach.of, least: leastReach(overlap) },
      also: alsoOf(girth, depth, reach),
    },
    flap,
    assembly: assembly(context, back, pockets, loop),
    lips: () => stackLips({ back, pockets }),
    advice: [...pickAdvice(choice, fabric.stitch.rows), ...stackAdvice(context, inner)],
    views: layeredViews({ back, pockets, loop, join, thing, fabric }),
  };
}

/** The way over the top grows with every pocket piece under the flap (law, handbook 3). */
function turnOver(context: ShapeContext, front: Mm, inner: number): Mm {
  const { thing, fabric } = context;
  const more = chosen(inner - 1, '1', 'further pocket pieces');
  return derive(
    'mm',
    'turn = level with the front + further pieces × t',
    { turn: flapTurn(thing.depth, fabric.thickness, overThing(front, context)), more, t: fabric.thickness },
    (v) => v.turn + v.more * v.t,
  );
}

function pocketPiece(context: ShapeContext, n: Figure<'stitches'>, front: Mm, index: number): Piece {
  const share = chosen(0.75 ** index, '1', 'of the first one’s height');
  const figure =
    index === 0 ? front : derive('mm', 'lower by a quarter each', { front, share }, (v) => v.front * v.share);
  const fabric = pocketFabric(context, index);
  const stitches = fabric === context.fabric ? n : asWide(n, context.fabric, fabric);
  return rowPiece(
    {
      id: `pocket-${index + 1}`,
      name: index === 0 ? 'Pocket' : `Pocket ${index + 1}`,
      fabric,
      stitches,
      lengths: [{ name: 'front', figure }],
      edge: 'seam',
    },
    context,
  );
}

/** How deep a pocket piece is: the first holds the item, each further one lies flat before it. */
function pocketDepth({ id, name, rows, height }: Piece, index: number, { thing, fabric }: ShapeContext) {
  const give = index === 0 ? bottomGive(thing.depth, fabric.thickness) : chosen(0, 'mm', 'flat before the first');
  const depth = derive('mm', 'rows − what the bottom takes', { rows: height, give }, (v) =>
    Math.max(0, v.rows - v.give),
  );
  return { name: name.toLowerCase(), piece: id, courses: rows, depth };
}

/** Layers are joined level by level, for which a coarse pocket may have too few rows. */
function refuseCoarse(stack: Stack): void {
  if (canBeStacked(stack)) return;
  const [{ fabric, rows }] = stack.pockets as [Piece];
  throw new PlanProblem([
    {
      path: 'shape.pocketStitch',
      message: `${plural(rows, 'row')} of “{${fabric.stitch.id}}” are too few to be joined level with ${plural(stack.pockets.length, 'pocket')}. Use the same stitch, or fewer pocket pieces.`,
    },
  ]);
}

/** The pocket next to the back may be in a stitch of its own. */
function pocketFabric({ fabric, options: { pocketStitch } }: ShapeContext, index: number): WorkedFabric {
  const own = index === 0 && pocketStitch !== 'same' && pocketStitch !== fabric.stitch.id;
  return own ? fabric.also(String(pocketStitch), fabric.worked) : fabric;
}

/** The count of another stitch that comes nearest to a width (law, handbook 4). */
function asWide(n: Figure<'stitches'>, { stitchWidth: w }: WorkedFabric, other: WorkedFabric): Figure<'stitches'> {
  const count = nearestCounts({
    askedMm: n.value * w.value,
    sizeOf: (stitches) => stitches * other.stitchWidth.value,
    conditions: [multipleOf(other.stitch.rows)],
    hurts: 'small',
    atLeast: 3,
    path: 'shape.pocketStitch',
  }).find(({ best }) => best)!.count;
  return derive('stitches', 'as many as come nearest to n × w', { n, w, own: other.stitchWidth }, () => count);
}

/** The loop behind: as wide as two fifths of the pouch, as long as the belt is wide with room and its thickness. */
function loopPiece(context: ShapeContext, n: number): Piece | undefined {
  const { fabric, options: given } = context;
  const belt = Number(given.beltMm);
  if (belt === 0) return undefined;
  const { repeat, edge } = fabric.stitch.rows;
  const wanted = Math.max(LOOP.leastMm / fabric.stitchWidth.value, LOOP.share * n);
  const stitches = edge + repeat * Math.max(1, Math.round((wanted - edge) / repeat));
  const length = derive(
    'mm',
    'loop = belt + room + πt',
    { belt: chosen(belt, 'mm', 'belt'), room: chosen(LOOP.easeMm, 'mm', 'room to slide'), t: fabric.thickness },
    (v) => v.belt + v.room + Math.PI * v.t,
  );
  return rowPiece(
    {
      id: 'loop',
      name: 'Belt loop',
      fabric,
      stitches: chosen(stitches, 'stitches', 'two fifths of the pouch, at least 20 mm'),
      lengths: [{ name: 'span', figure: length }],
      edge: 'seam',
    },
    context,
  );
}

/** How far the flap comes down in front of the filled pouch (law, handbook 3): seamed at the bottom, each face gives half. */
function flapReach({ thing, fabric, demands }: ShapeContext, back: Piece, pocket: Piece, inner: number): Sized {
  const rim = demands.rim ?? NO_RIM;
  const h = fabric.rowHeight;
  const rows = chosen(back.height.value / h.value, 'rows', 'rows of the back with its flap');
  const front = chosen(pocket.height.value / h.value, 'rows', 'rows of the pocket, as many as are as high');
  const more = chosen(inner - 1, '1', 'further pocket pieces');
  return sized(
    'edge = rows × h + rim − H − D/2 − πt/4 − turn − further pieces × t, over = front × h + rim − D/2 − πt/4 − H',
    { rows, front, h, H: thing.height, D: thing.depth, t: fabric.thickness, more, rim },
    (v) => {
      const give = v.D / 2 + (Math.PI * v.t) / 4;
      const over = v.front * v.h + v.rim - give - v.H;
      return v.rows * v.h + v.rim - v.H - give - crossing(v.D, v.t, over) - v.more * v.t;
    },
  );
}

const NO_RIM = chosen(0, 'mm', 'no edging at the mouth');

/** What the layers come to at the fold, against what the flap's turn gives (handbook 5.10). */
function stackAdvice({ fabric, thing }: ShapeContext, inner: number): Advice[] {
  if (inner <= MOST_INNER) return [];
  const stack = (inner + 1) * fabric.thickness.value;
  return [
    {
      id: 'too-many-layers',
      severity: 'warning',
      text: `${plural(inner + 1, 'layer')} of ${mmToken(fabric.thickness.value)} make ${mmToken(stack)} to sew through and to fold, where the flap turns over ${mmToken(thing.depth.value + (Math.PI * fabric.thickness.value) / 2)}.`,
      repair: `Keep to ${MOST_INNER} pocket pieces, or use a thinner yarn.`,
      at: 'shape.inner',
      change: { 'shape.inner': MOST_INNER },
    },
  ];
}

function assembly(
  { options: given }: ShapeContext,
  back: Piece,
  pockets: readonly Piece[],
  loop: Piece | undefined,
): WorkStep[] {
  const join = joinOf(given.join);
  const crochet = crocheted(join);
  const stack: Stack = { back, pockets };
  const layers = pockets.length + 1;
  const seams = crochet ? [] : stackSeams(stack, join.id === 'mattress' ? 'mattress' : 'whip', join.factor);
  return [
    ...[back, ...pockets, ...(loop ? [loop] : [])].flatMap(pieceEnd),
    ...(loop ? [sewLoop(loop, back)] : []),
    ...(pockets.length > 1 ? [wovenIn(pockets.slice(0, -1))] : []),
    {
      id: 'stack',
      section: 'joining',
      kind: 'assembly',
      does: [{ do: 'fold', fold: stackFold(stack, crochet !== undefined) }],
      text: `Lay the back wrong side up. Lay the ${pockets.length > 1 ? 'pockets on it, the lowest on top' : 'pocket on it'}, right side up, bottom edges level.`,
      check: { look: 'Rows of all layers side by side, from the bottom up?', repair: 'Pin both bottom corners first.' },
    },
    {
      id: 'sew-round',
      section: 'joining',
      kind: 'assembly',
      ...(crochet
        ? { does: [stackJoin(stack, crochet), { do: 'fasten-off' } as const] }
        : {
            does: seams,
            text: sewnInOnePass(seams, join, layersTold(layers)),
          }),
      check: {
        look: `Does every stitch go through ${layersTold(layers)}?`,
        repair: 'Pull it out to where a layer slipped.',
      },
      minutes: crochet ? 3 : 14,
    },
  ];
}

const layersTold = (layers: number): string => (layers === 2 ? 'both layers' : `all ${layers} layers`);

/** Ends between the layers, which nothing reaches once they are joined. */
function wovenIn(inner: readonly Piece[]): WorkStep {
  return {
    id: 'weave-in-inner',
    section: 'joining',
    kind: 'assembly',
    does: [{ do: 'weave-in', pieces: inner.map(({ id, name }) => ({ id, name })) }],
    minutes: 3 * inner.length,
  };
}

/** From the back's top edge down to the loop's upper end, as a share of the back (prior, ours). */
const LOOP_DOWN = 0.25;

function sewLoop(loop: Piece, back: Piece): WorkStep {
  const top = Math.round(LOOP_DOWN * back.sections[0]!.mm);
  return {
    id: 'sew-belt-loop',
    section: 'joining',
    kind: 'assembly',
    does: [
      {
        do: 'sew',
        id: 'belt-loop',
        what: loop.id,
        open: true,
        mm: 18 * loop.width.value,
        tails: [tailOf(loop.id, 'start'), tailOf(loop.id, 'end')],
        at: [{ on: 'top-fold', below: top, of: { wide: back.width.value, high: back.height.value } }],
        says: 'sew on both ends of the belt loop, centred upright on the right side of the back, its last row {at}; go over each seam three times.',
      },
    ],
    check: { look: 'Does the belt slide through?', repair: 'Set the lower end a row further down.' },
    minutes: 8,
  };
}

export const layered: ShapeDefinition = {
  id: 'layered',
  name: 'Layered belt pouch',
  summary: 'A back with its flap, pocket pieces before it, a belt loop behind, sewn round through all layers.',
  why: 'Rides on a belt; several pockets in one.',
  worked: 'rows',
  besideColumns,
  options,
  takes: {
    flat: true,
    round: 'It hangs flat on a belt. Choose a round base with sides.',
    rods: true,
    several: true,
    given: 'Its pockets are sized to what lies in them. Say what that is.',
  },
  offers: ['open-mouth', 'turn-over', 'turn-over-rows', 'upright-columns', 'flat-front', 'bundle'],
  build,
};
