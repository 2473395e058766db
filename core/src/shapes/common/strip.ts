import { BASES } from '../../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../../base/figure';
import { bottomGive, crossing, flapTurn } from '../../craft/fit';
import { MOST_COURSES, nearestRow, type Reach } from '../../craft/counts';
import type { Border, Fold, Lies } from '../../piece';
import { plural, type ChoiceField, type Field, type FieldValues } from '../../base/units';
import type { Built, FlapPlace, Piece, ShapeContext, WorkStep } from '../definition';
import { crocheted, joinOf, pieceEnd } from './joins';
import { joinedSides, rimOf, type StripJoin } from './stripWork';
import { flapOverlap, lessEdging, wantedBack, wholeFront } from './flat';
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

/** How high rows reach in a strip of so many in all: in one of several bands the one that fills takes what the others leave. */
type ReachInAll = (all: number | undefined) => Reach | undefined;

/**
 * Lengths of the sections before rounding (law, handbook 3 and 6). Without a flap both faces reach equally high. So many rows in
 * all where they are counted: the last section takes what the others leave.
 *
 * @throws PlanProblem where they leave nothing
 */
export function stripLengths(context: ShapeContext, edging: Mm, reachOf: ReachInAll = () => undefined): StripLength[] {
  const { allRows } = context.options;
  const all = allRows === undefined ? undefined : Number(allRows);
  const reach = reachOf(all);
  const lengths = freeLengths(context, edging, reach);
  if (all === undefined || !reach) return lengths;
  const last = lengths.at(-1)!;
  if (all < leastWith(lengths, reach)) throw tooFew(all, leastInAll(context, edging, reachOf, all), last.name);
  const rest = chosen(reach(all) - before(lengths), 'mm', `what ${all} rows leave`);
  return [...lengths.slice(0, -1), { name: last.name, figure: rest }];
}

/** What all sections but the last take, mm. */
const before = (lengths: readonly StripLength[]): number =>
  lengths.slice(0, -1).reduce((sum, { figure }) => sum + figure.value, 0);

/** Rows in all that leave one for the last section. */
const leastWith = (lengths: readonly StripLength[], reach: Reach): number => nearestRow(before(lengths), reach) + 1;

/** The same where a strip of more rows is divided otherwise: the fewest that leave one in a strip of just so many. */
function leastInAll(context: ShapeContext, edging: Mm, reachOf: ReachInAll, tooFewRows: number): number {
  const leastIn = (rows: number): number => {
    const reach = reachOf(rows)!;
    return leastWith(freeLengths(context, edging, reach), reach);
  };
  let short = tooFewRows;
  let enough = leastIn(short);
  while (leastIn(enough) > enough && enough < MOST_COURSES) [short, enough] = [enough, leastIn(enough)];
  while (enough - short > 1) {
    const middle = Math.floor((short + enough) / 2);
    if (leastIn(middle) <= middle) enough = middle;
    else short = middle;
  }
  return enough;
}

const tooFew = (all: number, least: number, last: string): PlanProblem =>
  new PlanProblem([
    {
      path: 'shape.allRows',
      message: `${plural(all, 'row')} leave none for the ${last}. It takes ${least} or more, or a front of fewer rows.`,
    },
  ]);

/** Lengths as they follow from the thing, and from where the front is folded. */
function freeLengths(context: ShapeContext, edging: Mm, reach: Reach | undefined): StripLength[] {
  const { thing, demands } = context;
  const whole = wholeFront(context);
  const border = bordersOf(edging, context);
  const chosenFront = foldedAt(context, reach);
  const front = chosenFront ? withBorder(chosenFront, border) : (stripFront(context) ?? whole);
  const first = { name: 'front', figure: chosenFront ?? lessEdging(front, border, 1) };
  if (!demands.flap) {
    const back = { name: 'back', figure: lessEdging({ ...whole }, border, 1) };
    const level = context.options.pocketMm === undefined && context.options.allRows === undefined;
    return [first, level ? { ...back, asBefore: true } : back];
  }
  return [
    first,
    { name: 'back', figure: wantedBack(context) },
    { name: 'turn', figure: turnFrom(front, first.figure, context, reach) },
    { name: 'flap', figure: lessEdging(flapOverlap(demands, thing.height), border, 1) },
  ];
}

/** Where the strip is folded by number, for whoever counts rows or has laid the piece round the thing; empty it follows from sizes. */
export const frontRowsField = (noun: 'Rows' | 'Stitches'): Field => ({
  key: 'frontRows',
  kind: 'number',
  label: `${noun} of the front`,
  help: 'Left empty: as many as cover the item. To fold it elsewhere type another number.',
  unit: noun === 'Rows' ? 'rows' : 'stitches',
  whole: true,
  min: 1,
  max: 5000,
  optional: true,
  refines: true,
});

/** The front as it is folded by number; nothing where it follows from its size, or rows are of several bands. */
function foldedAt({ options: { frontRows } }: ShapeContext, reach: Reach | undefined): Mm | undefined {
  if (frontRows === undefined || !reach) return undefined;
  return chosen(
    reach(Number(frontRows)),
    'mm',
    `${plural(Number(frontRows), 'row or stitch', 'rows or stitches')}, typed`,
  );
}

const withBorder = (front: Mm, border: Mm): Mm =>
  border.value === 0 ? front : derive('mm', 'front + border', { front, border }, (v) => v.front + v.border);

/** The front where its pocket is to be only so deep; undefined where it covers the thing. */
function stripFront({ thing, fabric, options: { pocketMm } }: ShapeContext): Mm | undefined {
  if (pocketMm === undefined) return undefined;
  return sized(
    'pocket + D/2 + πt/4',
    { pocket: chosen(Number(pocketMm), 'mm', 'typed'), give: bottomGive(thing.depth, fabric.thickness) },
    (v) => v.pocket + v.give,
  ).figure;
}

/** All that is worked on at an end of a strip: its own edging, and one around the mouth (law, handbook 3). */
export function bordersOf(edging: Mm, { demands: { rim } }: ShapeContext): Mm {
  if (!rim) return edging;
  return edging.value === 0 ? rim : derive('mm', 'edging + rim', { edging, rim }, (v) => v.edging + v.rim);
}

/** The way over the top to a front of whole rows, with what those make of its length more or less. */
function turnFrom(front: Mm, asked: Mm, context: ShapeContext, reach: Reach | undefined): Mm {
  const { thing, fabric } = context;
  const off = reach ? reach(Math.max(1, nearestRow(asked.value, reach))) - asked.value : 0;
  const rounded = chosen(off, 'mm', 'what whole rows make of the front');
  const real = derive('mm', 'front in whole rows', { front, rounded }, (v) => v.front + v.rounded);
  return derive(
    'mm',
    'turn + rounded',
    { turn: flapTurn(thing.depth, fabric.thickness, overThing(real, context)), rounded },
    (v) => Math.max(0.1, v.turn + v.rounded),
  );
}

/** How far a front of this length reaches above the thing, mm; below 0 how far that stands out of it (law, handbook 3). */
export function overThing(front: Mm, { thing, fabric }: ShapeContext): Mm {
  return derive(
    'mm',
    'over = front − D/2 − πt/4 − H',
    { front, H: thing.height, D: thing.depth, t: fabric.thickness },
    (v) => v.front - v.D / 2 - (Math.PI * v.t) / 4 - v.H,
  );
}

/** A strip with a flap: its rows or stitches from end to end and those of its front, and what borders add. */
interface Flapped {
  n: Figure;
  front: Figure;
  /** An edging at either end, and a pass that goes on around the flap, mm. */
  edging: Mm;
  pass: Mm;
}

/**
 * Where the flap's edge comes to lie on the filled pouch, from the front's top edge. The strip runs from that edge down
 * the front, round the bottom, up the back, over the top to where the front begins again, and down; what is left of
 * its whole count is how far down the flap comes (law, handbook 3).
 * @param letter what a count is as long as: the fabric's `h` or `w`
 */
export function flapReach(
  { thing, fabric }: ShapeContext,
  { n, front, edging, pass }: Flapped,
  letter: 'h' | 'w',
): Sized {
  const size = letter === 'h' ? fabric.rowHeight : fabric.stitchWidth;
  const terms: Record<string, Figure> = {
    n,
    front,
    [letter]: size,
    H: thing.height,
    D: thing.depth,
    t: fabric.thickness,
  };
  const bordered: Record<string, Figure> = {
    ...(edging.value > 0 ? { edging } : {}),
    ...(pass.value > 0 ? { pass } : {}),
  };
  const borders = Object.keys(bordered).map((name) => ` + ${name}`);
  return sized(
    `edge = (n − front) × ${letter}${borders.join('')} − H − D/2 − πt/4 − turn, over = front × ${letter}${edging.value > 0 ? ' + edging' : ''} − D/2 − πt/4 − H`,
    { ...terms, ...bordered },
    (v) => {
      const give = v.D! / 2 + (Math.PI * v.t!) / 4;
      const over = v.front! * v[letter]! + (v.edging ?? 0) - give - v.H!;
      const behind = (v.n! - v.front!) * v[letter]! + (v.edging ?? 0) + (v.pass ?? 0);
      return behind - v.H! - give - crossing(v.D!, v.t!, over);
    },
  );
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

/** What the far end of a strip is. */
export const endLies = ({ sections }: Piece): Lies => ({
  line: sections.some(({ name }) => name === 'flap') ? 'the flap’s edge' : 'the back’s top edge',
  goes: 'across',
});

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
  /** Where it is folded, where that is not at the markers of its rows: it was chosen after they were worked. */
  at?: string | undefined;
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
  at,
  ...given
}: StripWork): Pick<Built, 'assembly' | 'rim'> {
  // what goes on from the last row takes its tail along
  const goesOn = first.some(({ does = [] }) => does.some((work) => work.do === 'border'));
  const { fold, joins } = joinedSides({ ...given, tails: goesOn ? ['start'] : ['start', 'end'] });
  const bordered = given.pass === 'around' && crocheted(given.join) ? BORDERED : undefined;
  return {
    assembly: [...first, ...pieceEnd(given.strip.piece), ...last, foldStep(fold, { look, by, at }), ...joins],
    rim: rim ?? bordered ?? (() => rimOf(given.strip, given.edging)),
  };
}

function foldStep(
  fold: Fold,
  { look, by, at = 'at the bottom fold markers' }: Pick<StripWork, 'look' | 'by' | 'at'>,
): WorkStep {
  return {
    id: 'fold',
    section: 'joining',
    kind: 'assembly',
    does: [{ do: 'fold', fold }],
    text: `Fold the strip ${at}, wrong sides together, so that the front lies on the back. Pin each side in three places, or use stitch markers.`,
    check: {
      look: `Slip the item in: does the front cover it, and do the ${look}?`,
      repair: `Move the fold by a ${by}.`,
    },
  };
}
