import { BASES } from '../../craft/fabric';
import { chosen, derive, type Figure } from '../../base/figure';
import { bottomGive, flapTurn } from '../../craft/fit';
import type { Border, Fold } from '../../piece';
import { type ChoiceField, type FieldValues } from '../../base/units';
import type { Built, FlapPlace, Piece, ShapeContext, WorkStep } from '../definition';
import { crocheted, joinOf, pieceEnd } from './joins';
import { joinedSides, rimOf, type StripJoin } from './stripWork';
import { flapOverlap, lessEdging, wantedBack, wantedFront } from './flat';
import { sized, type Sized } from './sized';

type Mm = Figure<'mm'>;

/**
 * A section of a folded strip, whichever way its rows run, with its length before rounding, mm: front, bottom fold, back, and where
 * there is a flap, the turn over the top and the flap (handbook 5.1 and 5.2).
 */
export interface StripLength {
  name: string;
  figure: Mm;
  /** Whether it ends level with the one before it. */
  asBefore?: true;
}

/** Lengths of the sections before rounding (law, handbook 3 and 6). Without a flap both faces reach equally high. */
export function stripLengths(context: ShapeContext, edging: Mm): StripLength[] {
  const { thing, fabric, demands } = context;
  const whole = wantedFront(context);
  const first = { name: 'front', figure: lessEdging(stripFront(context) ?? whole, edging, 1) };
  if (!demands.flap) {
    const back = { name: 'back', figure: lessEdging({ ...whole }, edging, 1) };
    return [first, context.options.pocketMm === undefined ? { ...back, asBefore: true } : back];
  }
  return [
    first,
    { name: 'back', figure: wantedBack(context) },
    { name: 'turn', figure: flapTurn(thing.depth, fabric.thickness) },
    { name: 'flap', figure: lessEdging(flapOverlap(demands.flap, thing.height), edging, 1) },
  ];
}

/** The front where its pocket is to be only so deep; undefined where it covers the thing. */
function stripFront({ thing, fabric, options: { pocketMm } }: ShapeContext): Mm | undefined {
  if (pocketMm === undefined) return undefined;
  return sized(
    'pocket + D/2 + πt/4',
    { pocket: chosen(Number(pocketMm), 'mm', 'typed'), give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.pocket + v.give,
  ).figure;
}

/**
 * Where the flap's edge comes to lie on the filled pouch, from the front's top edge. The strip runs from that edge down
 * the front, round the bottom (2 × (D/2 + πt/4)), up the back, over the top (D + πt/2) and down again; what is left of
 * its whole count is how far down the flap comes (law, handbook 3).
 * @param n rows or stitches from end to end, each as long as the fabric's `h` or `w`
 */
export function flapReach({ thing, fabric }: ShapeContext, n: Figure, letter: 'h' | 'w', borders?: Mm): Sized {
  const size = letter === 'h' ? fabric.rowHeight : fabric.stitchWidth;
  const terms: Record<string, Figure> = { n, [letter]: size, H: thing.height, D: thing.depth, t: fabric.thickness };
  const bordered = borders && borders.value > 0;
  return sized(
    `edge = n × ${letter}${bordered ? ' + borders' : ''} − 2H − 2D − πt`,
    bordered ? { ...terms, borders } : terms,
    (v) => v.n! * v[letter]! + (v.borders ?? 0) - 2 * v.H! - 2 * v.D! - Math.PI * v.t!,
  );
}

/**
 * What borders add to a strip from end to end: an edging at both ends, a join that goes on around the far end at that one
 * (law, handbook 4.4).
 */
export function bordersLong(edging: Mm, pass: Mm): Mm {
  if (edging.value === 0 && pass.value === 0) return edging;
  return derive('mm', 'borders = 2 edging + pass', { edging, pass }, (v) => 2 * v.edging + v.pass);
}

/** How deep a join is where it goes on as a border (prior, handbook 2.2). */
export function passDepth({ fabric, options }: ShapeContext): Mm {
  const stitch = crocheted(joinOf(options.join));
  if (passOf(options) === 'sides' || !stitch) return chosen(0, 'mm', 'no border');
  const k = chosen(BASES[stitch].roundHeight / BASES.single.roundHeight, '1', `${stitch} against a short stitch`);
  return derive('mm', 'pass = k × h', { k, h: fabric.also('single', 'rounds').rowHeight }, (v) => v.k * v.h);
}

/** Where the flap lies; undefined where the strip has none. */
export function flapPlace(
  { id, sections: [front, , , flap] }: Piece,
  reach: Sized,
  edge: Pick<FlapPlace, 'edge' | 'row' | 'stitches' | 'width' | 'borderMm'>,
): FlapPlace | undefined {
  if (!front || !flap) return undefined;
  return { piece: id, ...edge, edgeBelowFrontTop: reach.figure, frontMm: front.mm + edge.borderMm };
}

/** Whether the join of the first side goes on round what lies above the front, and joins the other on its way down. */
export const PASS: ChoiceField = {
  key: 'pass',
  kind: 'choice',
  label: 'Joined',
  help: 'For joins that are crocheted.',
  options: [
    { id: 'sides', name: 'each side by itself' },
    { id: 'around', name: 'in one pass, around the flap or the back’s edge' },
  ],
  default: 'sides',
};

/** How the sides are joined, from the shape's options. */
export const passOf = ({ pass }: FieldValues): 'sides' | 'around' => (pass === 'around' ? 'around' : 'sides');

/** What the far end of a strip is, in words. */
export const endName = ({ sections }: Piece): string =>
  sections.some(({ name }) => name === 'flap') ? 'across the flap’s edge' : 'across the back’s top edge';

/** The edging worked on a piece before anything is done with it. */
export function edgedFirst(piece: string, border: Border): WorkStep {
  return {
    id: border.id,
    section: 'edging',
    kind: 'assembly',
    after: piece,
    does: [border],
    check: {
      look: 'Does the edging lie flat, with as many stitches on one side as on the other?',
      repair: 'If it waves, leave out a few stitches; if it pulls in, work a few more.',
    },
    minutes: 2,
  };
}

interface StripWork extends Omit<StripJoin, 'tails'> {
  /** What is done on the strip before it is fastened off. */
  first?: readonly WorkStep[];
  /** What is worked on it from a new start, before it is folded. */
  last?: readonly WorkStep[];
  /** Why nothing more goes around its opening. */
  rim?: string | undefined;
  /** How both layers lie when the fold is right, and by what to move it when it is not. */
  look: string;
  by: string;
}

/** What a pass around leaves for an edging. */
const BORDERED =
  'Its sides are joined in one pass that borders the opening already. Join each side by itself, or remove the edging.';

/** All that is done with a strip once its rows are there, and the way round its opening then, where it is not bordered yet. */
export function stripWork({
  first = [],
  last = [],
  rim,
  look,
  by,
  ...given
}: StripWork): Pick<Built, 'assembly' | 'rim'> {
  // what goes on from the last row takes its tail along
  const goesOn = first.some(({ does = [] }) => does.some((work) => work.do === 'border'));
  const { fold, joins } = joinedSides({ ...given, tails: goesOn ? ['start'] : ['start', 'end'] });
  const bordered = given.pass === 'around' && crocheted(given.join) ? BORDERED : undefined;
  return {
    assembly: [...first, ...pieceEnd(given.strip.piece), ...last, foldStep(fold, look, by), ...joins],
    rim: rim ?? bordered ?? (() => rimOf(given.strip, given.edging)),
  };
}

function foldStep(fold: Fold, look: string, by: string): WorkStep {
  return {
    id: 'fold',
    section: 'joining',
    kind: 'assembly',
    does: [{ do: 'fold', fold }],
    text: 'Fold the strip at the bottom fold markers, wrong sides together, so that the front lies on the back.',
    check: {
      look: `Slip the item in: does the front cover it, and do the ${look}?`,
      repair: `Move the fold by a ${by}.`,
    },
  };
}
