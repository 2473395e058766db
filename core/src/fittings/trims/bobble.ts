import { inOne, work, type WorkedFabric } from '../../craft/fabric';
import { chosen, derive, prior, type Figure } from '../../base/figure';
import { plural } from '../../base/units';
import type { Course, Piece, WorkStep } from '../../shapes';
import { roundOf } from '../../shapes/common/courses';
import { MARK_FIRST_STITCH } from '../../shapes/common/markers';
import { roundPiece } from '../../shapes/common/roundPiece';
import { tubeEnd } from '../../shapes/common/tubeWork';
import { type FittingContext, type FittingDefinition, type Placed } from '../definition';

/** A cord against its yarn: strands twisted or chained lie side by side (prior, ours). */
const CORD_OF_YARN = 2;

/** Fewer make no ring to work round. */
const LEAST_CHAINS = 4;

/** Round so many cords and the fabric's own thickness (law, handbook 14): nothing is drawn shut, so that it slides. */
function chainsRound(ends: number, { yarn, thickness: t, chain: wc }: WorkedFabric): Figure<'chains'> {
  const cords = prior(ends * CORD_OF_YARN, '1', 0, 'yarns side by side in the cords');
  return derive('chains', 'chain = π (cords × d + t) / wc, rounded up', { cords, d: yarn, t, wc }, (v) =>
    Math.max(LEAST_CHAINS, Math.ceil((Math.PI * (v.cords * v.d + v.t)) / v.wc)),
  );
}

/** Out from a joined chain, once straight, in again: open at both ends. */
function ballOf(chains: Figure<'chains'>, { fabric: own, schools }: FittingContext): Piece {
  const fabric = own.also('single', 'rounds');
  const c = chains.value;
  const round = (body: Course['instructions'], ends: number) => roundOf(body, ends, 'single', schools, 'stopper');
  const courses = [
    round([work('single', c, 'chain')], c),
    round([inOne('single', 2, 'stitch', 1, c)], 2 * c),
    round([work('single', 2 * c)], 2 * c),
    round([{ do: 'together', stitch: 'single', over: 2, times: c }], c),
  ];
  const n = derive('stitches', '2 × chain', { c: chains }, (v) => 2 * v.c);
  const r = chosen(courses.length, 'rows', 'rounds of the stopper');
  const height = derive('mm', 'rounds × h', { r, h: fabric.rowHeight }, (v) => v.r * v.h);
  return roundPiece({
    id: 'bobble',
    name: 'Cord stopper',
    foundation: { kind: 'joined-chain', count: c, edge: 'free' },
    foundationFigure: chains,
    stitches: n,
    runs: [{ name: 'stopper', courses, fabric, wanted: height }],
    main: fabric,
    width: derive('mm', 'n × w / 2', { n, w: fabric.stitchWidth }, (v) => (v.n * v.w) / 2),
    height,
    summary: `A chain of ${c} joined, ${plural(courses.length, 'round')} out to ${2 * c} and in again`,
    notes: { 1: MARK_FIRST_STITCH },
  });
}

/** A small ball of single round the cord's ends, to slide along them (handbook 6). */
function place(context: FittingContext): Placed {
  const { cordEnds } = context;
  const chains = chainsRound(cordEnds, context.fabric);
  const piece = ballOf(chains, context);
  const ends = cordEnds === 1 ? 'the free end of the tie' : 'both ends of the cord';
  const made = tubeEnd(piece, 'As many stitches as in round 1?').map((step): WorkStep =>
    step.id === 'level' ? { ...step, id: 'level-bobble' } : step,
  );
  return {
    figures: { chains },
    place: `on ${ends}, over a ring of ${plural(chains.value, 'chain')}`,
    rows: [],
    pieces: [piece],
    steps: [
      ...made,
      {
        id: 'make-bobble',
        section: 'closing',
        kind: 'closure',
        follows: ['thread-cord'],
        does: [{ do: 'sew', id: 'bobble-on', what: piece.id, mm: 0, says: `thread ${ends} through the cord stopper.` }],
        check: {
          look: 'Does it slide, and stay where it is put?',
          repair: 'Where it slips, draw a length of yarn through its last round and pull that in.',
        },
        minutes: 4,
      },
    ],
    parts: {},
    advice: [],
  };
}

export const bobble: FittingDefinition = {
  id: 'bobble',
  name: 'Cord stopper',
  summary: 'A small ball that holds the drawstring shut.',
  asks: ['round-mouth'],
  because: 'It slides on a drawstring’s cord.',
  needs: 'cord',
  hazards: ['small-part'],
  figures: { chains: 'Chains round the cord' },
  options: [],
  place,
};
