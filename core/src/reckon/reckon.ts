import { runsOnPiece } from './asRepeated';
import { contrastAdvice } from './contrast';
import { cautionsOf, type Caution } from '../craft/cautions';
import {
  byColour,
  lastingColours,
  coloursOf,
  notionsOf,
  stepYarn,
  ONE_SITTING_MINUTES,
  tallyPieces,
  tallyWork,
  tailMinutes,
  tailsDone,
  workingTime,
  yarnNeed,
  yarnShares,
  type ColourNeed,
  type YarnNeed,
  type YarnShare,
} from './supplies';
import { hexOf, mainColour, runHex, type WorkedFabric } from '../craft/fabric';
import { huedViews, roleOf, smallPieces } from '../drawing';
import { derive, type Advice, type Figure } from '../base/figure';
import { RIM, type Notion } from '../fittings';
import { pieceEnd } from '../shapes/common/joins';
import { markersIn } from '../shapes/common/markers';
import { isHued, pieceHues, type HuedRows } from './hues';
import { inOrder, pieceSteps, wordText, workSteps, type Schools, type Step } from '../pattern';
import { bandsOf, tailOf, tailsAsked, walk, withTails, type Band, type Walked, type Work } from '../piece';
import { withMisfit } from './misfit';
import type { Plan } from '../plan/plan';
import type { Choice, ClothRole, Part, Piece, View, WorkStep } from '../shapes';
import { carrierDefinition, type Hazard, type WorkedThing } from '../craft/things';
import { formatNumber, wordLengths } from '../base/units';
import { adviceOf, canBeColoured, prepare, workOut, workWith, type WorkedOut } from './workOut';

export const WORKED_FORMAT = 'keep-snug.worked/1';

type Mm = Figure<'mm'>;

/** A piece as it is told: without what only the reckoning needs of it. */
export type WorkedPiece = Omit<Piece, 'courses' | 'reach' | 'fabric' | 'notes' | 'bands'> & {
  /** Where it is of several stitches: which, from which course to which. */
  bands?: (Omit<Band, 'fabric'> & { stitch: string })[];
  /** How its rows look from the first on, where that is known. */
  hues?: readonly HuedRows[];
};

/** What a plan comes to: sizes, counts, positions, steps and drawings, all reckoned and nothing stored. */
export interface Worked {
  format: typeof WORKED_FORMAT;
  title: string;
  thing: { girth: Mm; width: Mm; height: Mm; depth: Mm };
  fabric: {
    stitchWidth: Mm;
    rowHeight: Mm;
    chain: Mm;
    thickness: Mm;
    cover: Figure<'1'>;
    /** How the swatch was finished before it was measured, where it was: the piece is finished like it. */
    finishedAs?: 'blocked' | 'washed';
  };
  pieces: WorkedPiece[];
  inside: { girth: Mm; depth: Mm };
  outside: { width: Mm; height: Mm; thickness: Mm };
  /** What the whole counts leave round and above the thing: inside size less thing size. */
  ease: { girth: Mm; cover: Mm };
  /** What the fit asked for, before counts were whole. */
  wanted: { girth: Mm; cover: Mm };
  choices: Choice[];
  /**
   * `canBeColoured`: it is worked beside the piece’s rows, so that it may have a colour of its own; `hasTop`: the rows it lies in may.
   */
  fittings: { kind: string; figures: Record<string, Figure>; place: string; canBeColoured: boolean; hasTop: boolean }[];
  supplies: {
    yarn: YarnNeed;
    byColour: ColourNeed[];
    /** Of each yarn, where several are held together. */
    byYarn: YarnShare[];
    time: Figure<'min'>;
    stitches: number;
    notions: Notion[];
  };
  advice: Advice[];
  cautions: Caution[];
  steps: Step[];
  views: View[];
}

/**
 * The one door: a plan in, everything reckoned from it out. Pure: no clock, no randomness, no network.
 *
 * @param plan a plan whose form has been checked (formats: parsePlan); never changed in place, since the sizes of its thing
 *   and fabric are kept with those entries
 * @throws PlanProblem naming every entry that cannot be reckoned, its limit and the repair
 * @source the whole handbook, in its own order
 */
export function reckon(plan: Plan): Worked {
  const out = workOut(plan);
  const { thing, fabric, fit, schools, built, placed } = out;
  const { steps, supplies } = toMake(plan, out);
  return {
    format: WORKED_FORMAT,
    title: plan.title,
    thing: pickThing(thing),
    fabric: pickFabric(fabric),
    pieces: allPieces(out).map((piece) => pieceTold(piece, schools, pieceHues(plan, piece))),
    inside: built.inside,
    outside: built.outside,
    ease: {
      girth: derive(
        'mm',
        'ease = inside − thing',
        { inside: built.inside.girth, thing: thing.girth },
        (v) => v.inside - v.thing,
      ),
      cover: derive('mm', 'cover = inside − H', { inside: built.inside.depth, H: thing.height }, (v) => v.inside - v.H),
    },
    wanted: { girth: fit.girthEase, cover: fit.coverEase },
    choices: built.choices,
    fittings: placed.map((one) => ({
      kind: one.definition.id,
      figures: one.figures,
      place: wordText(one.place, schools),
      canBeColoured: canBeColoured(one),
      hasTop: one.top !== undefined,
    })),
    supplies,
    advice: withMisfit(plan, out, [...adviceOf(plan, out), ...contrastAdvice(plan, out)]).map((one) => ({
      ...one,
      text: wordText(one.text, schools),
      repair: wordText(one.repair, schools),
    })),
    cautions: cautionsOf(hazardsOf(plan, out, supplies.time.value), plan.setAside),
    steps,
    views: viewsIn(plan, out),
  };
}

/** What is done, step by step, and what it takes. */
export function toMake(plan: Plan, out: WorkedOut): Pick<Worked, 'steps' | 'supplies'> {
  const after = stepsAfter(out);
  const pieces = allPieces(out);
  const walked = walkedWork(pieces, after);
  return {
    steps: allSteps(pieces, after, out.schools, walked, plan.fabric),
    supplies: suppliesOf(plan, out, after, walked),
  };
}

/** A piece as plain data. */
function pieceTold(
  { courses: _c, reach: _r, fabric: _f, notes: _n, bands, ...piece }: Piece,
  schools: Schools,
  hues: readonly HuedRows[] | undefined,
): WorkedPiece {
  return {
    ...piece,
    ...(hues ? { hues } : {}),
    summary: wordText(piece.summary, schools),
    ...(bands ? { bands: bands.map(({ fabric, ...band }) => ({ ...band, stitch: fabric.stitch.id })) } : {}),
  };
}

/** All that a plan's parts bring with them that someone should be warned of. */
function hazardsOf({ carrier }: Plan, { thing, shape, placed }: WorkedOut, minutes: number): ReadonlySet<Hazard> {
  return new Set([
    ...thing.hazards,
    ...(carrier ? carrierDefinition(carrier.kind).hazards(carrier) : []),
    ...(shape.hazards ?? []),
    ...placed.flatMap(({ definition, hazards = [] }) => [...(definition.hazards ?? []), ...hazards]),
    ...(minutes > ONE_SITTING_MINUTES ? (['long-work'] as const) : []),
  ]);
}

/** The views of a plan and the choices to be made in them. */
export type PickedPlan = Pick<Worked, 'views' | 'choices'>;

/**
 * A plan to be drawn on: gives its views and choices for any counts picked, and must do so within a frame. They are what
 * `reckon` says of them; steps, supplies and words are left out, and what the picks do not change is worked out once.
 *
 * @param plan a plan whose form has been checked (formats: parsePlan)
 * @throws PlanProblem as reckon does
 */
export function reckonPicks(plan: Plan): (picks: Plan['picks']) => PickedPlan {
  const prepared = prepare(plan);
  return (picks) => {
    const out = workWith(prepared, picks);
    return { views: viewsIn(plan, out), choices: out.built.choices };
  };
}

/** A drawing tells whole millimetres unless they are known no better than to so many, mm (ours). */
const ROUGH_FROM_MM = 5;

/** A dimension is known as well as the stitches it is made of; what is rough is told so. */
function asKnown(part: Part, spread: number): Part {
  if (part.type !== 'dimension') return part;
  const sd = spread * part.mm;
  return sd < ROUGH_FROM_MM ? part : { ...part, sd };
}

/** The views in the colours of the yarns, where it is known how they look. */
function viewsIn(plan: Plan, out: WorkedOut): View[] {
  const { palette, fabric: spec } = plan;
  const views = viewsOf(out);
  const grid = runsOnPiece(plan, out);
  if (!grid && !isHued(plan)) return views;
  const colourOf = coloursOf(out.built.pieces[0]!, spec);
  return huedViews(views, {
    hexOf: (colour) => hexOf(palette, spec, colour),
    main: mainColour(spec),
    ofRole: (role) => colourOfRole(out.built.pieces, role),
    first: out.built.pieces[0]!.courses.map((_, index) => colourOf(index + 1)),
    ...(grid ? { stitchesOf: (row: number) => grid[row - 1]?.map((run) => runHex(spec.yarn.runs!, run)) } : {}),
  });
}

/** The colour that the piece of a section says of itself; the second of two alike may say another. */
function colourOfRole(pieces: readonly Piece[], role: ClothRole): string | undefined {
  if (role === 'back' && pieces[0]!.secondColour) return pieces[0]!.secondColour;
  const own = pieces.find(({ id, sections }) => id === role || sections.some(({ name }) => roleOf(name) === role));
  return (own ?? pieces[0]!).colour;
}

/** The shape's views with its fittings laid on. */
function viewsOf({ built, placed, schools, fabric }: WorkedOut): View[] {
  const made = smallPieces(
    placed.flatMap(({ pieces }) => pieces ?? []),
    fabric,
  );
  const spread = (fabric.stitchWidth.sd ?? 0) / fabric.stitchWidth.value;
  return [...built.views, ...(made ? [made] : [])].map((view) => ({
    ...view,
    parts: [...view.parts, ...placed.flatMap((p) => p.parts[view.id] ?? [])].map((part) => asKnown(part, spread)),
    text: wordText(view.text, schools),
  }));
}

/** Yarn, time and stitches of a plan worked out. */
export function suppliesOf(
  plan: Plan,
  out: WorkedOut,
  after: readonly WorkStep[],
  told: ReadonlyMap<Work, Walked> = walkedWork(allPieces(out), after),
): Worked['supplies'] {
  const pieces = allPieces(out);
  const { placed, fabric, schools } = out;
  const borders = { fabric: fabric.also('single', fabric.worked), colour: undefined, tally: tallyWork(told.values()) };
  const tallies = [...tallyPieces(pieces), borders];
  const yarn = yarnNeed(plan.fabric, tallies, pieces, after);
  const besides = colouredSteps(plan, fabric, after, told);
  const needs = byColour(plan.fabric, pieces, yarn.metres.value, yarn.grams.value, besides);
  const colours = lastingColours(needs, plan.fabric, plan.palette ?? {}, yarn.grams);
  const lasting = colours.flatMap(({ enough }) => enough ?? []);
  const reaches = colours.flatMap(({ reach }) => reach ?? []);
  return {
    // of several colours it lasts as well as the scarcest
    yarn: lasting.length > 0 ? { ...yarn, enough: Math.min(...lasting), reach: Math.min(...reaches) } : yarn,
    byYarn: yarnShares(plan.fabric, yarn.metres.value),
    byColour: colours,
    time: workingTime(plan.fabric, tallies, after, tailMinutes(plan.fabric, pieces)),
    notions: notionsOf(plan.fabric, fabric, [
      ...pieces.flatMap((piece) => [...markersOf(piece.notes, piece.times), ...hooksOf(piece)]),
      ...after.flatMap(({ notions }) => notions ?? []),
      ...placed.flatMap(({ notions }) => notions ?? []),
    ]).map((notion) => sized(notion, schools)),
    stitches: tallies.reduce((all, { tally }) => all + Object.values(tally).reduce((sum, count) => sum + count, 0), 0),
  };
}

/** What borders, ties and the like take that say a colour of their own. */
function colouredSteps(
  { fabric: spec }: Plan,
  fabric: WorkedFabric,
  after: readonly WorkStep[],
  told: ReadonlyMap<Work, Walked>,
): { colour: string; metres: number }[] {
  return after.flatMap((step) => {
    const { colour, does = [] } = step;
    if (!colour) return [];
    const walked = does.flatMap((work) => told.get(work) ?? []);
    return [{ colour, metres: stepYarn(spec, step, walked, fabric.also('single', fabric.worked)) }];
  });
}

const sized = (notion: Notion, { units }: Schools): Notion =>
  notion.size === undefined ? notion : { ...notion, size: wordLengths(notion.size, units) };

/** The markers that hang in a piece while it is worked. */
function markersOf(notes: Readonly<Record<number, string>>, times: number): Notion[] {
  const count = markersIn(notes) * times;
  return count > 0 ? [{ name: 'stitch markers', count }] : [];
}

/** Hooks for bands that are worked on others. */
function hooksOf(piece: Piece): Notion[] {
  const sizes = new Set(bandsOf(piece).flatMap(({ hookMm }) => hookMm ?? []));
  return [...sizes].map((hookMm) => ({ name: 'hook for a band', size: `${formatNumber(hookMm, 2)} mm`, count: 1 }));
}

function pickThing({ girth, width, height, depth }: WorkedThing): Worked['thing'] {
  return { girth, width, height, depth };
}

function pickFabric({ stitchWidth, rowHeight, chain, thickness, cover, finishedAs }: WorkedFabric): Worked['fabric'] {
  return { stitchWidth, rowHeight, chain, thickness, cover, ...(finishedAs ? { finishedAs } : {}) };
}

const WEAVE_IN: WorkStep = {
  id: 'weave-in',
  section: 'finishing',
  kind: 'finish',
  does: [{ do: 'weave-in', pieces: 'all' }],
};

/** The shape's own pieces and those made for its fittings. */
export function allPieces({ built, placed }: Pick<WorkedOut, 'built' | 'placed'>): Piece[] {
  return [...built.pieces, ...placed.flatMap(({ pieces }) => pieces ?? [])];
}

/** All that is done beside the rows, in an order that leaves nothing sewn shut. */
export function stepsAfter({ built, placed }: Pick<WorkedOut, 'built' | 'placed'>): WorkStep[] {
  const small = placed.flatMap(({ pieces = [] }) => pieces).filter(({ foundation }) => foundation.kind === 'chain');
  const fitted = placed.flatMap(({ steps }) => steps);
  const onward = [0, 1, 2].flatMap((turn) => fitted.filter((step) => step.goesOn && turnOf(step) === turn));
  const assembly = built.assembly.flatMap((step) => (cuts(step) ? [...onward, step] : [step]));
  const steps = [...assembly, ...small.flatMap(pieceEnd), ...fitted.filter(({ goesOn }) => !goesOn), WEAVE_IN];
  return inOrder(tailsLeft(steps));
}

/** What goes on from a last round: an edging first, then loops upon it, then a tie from there. */
function turnOf({ does = [] }: WorkStep): number {
  const [first] = does;
  if (first?.do !== 'border') return 2;
  return first.id === RIM ? 0 : 1;
}

/** Whether a step cuts the yarn of a piece. */
const cuts = ({ after, does = [] }: WorkStep): boolean => after !== undefined && does[0]?.do === 'fasten-off';

/** Where something is sewn with the tail of a piece, that tail is left long enough. */
function tailsLeft(steps: readonly WorkStep[]): readonly WorkStep[] {
  const asked = tailsAsked(worksIn(steps));
  if (asked.size === 0) return steps;
  return steps.map((step) => {
    const { does, after } = step;
    if (!does || after === undefined) return step;
    const cut = asked.get(tailOf(after, 'end'));
    const check = cut === undefined ? undefined : { check: tailCheck(cut) };
    return { ...step, does: withTails(does, asked, after), ...check };
  });
}

/** Before yarn is cut (handbook 8). */
const tailCheck = (mm: number) => ({
  look: `Before you cut: is the tail at least {cut:${mm}} long?`,
  repair: 'Pull more yarn from the ball. What is cut too short is sewn with yarn of its own.',
});

const worksIn = (steps: readonly WorkStep[]): Work[] => steps.flatMap(({ does }) => does ?? []);

/** What belongs to a piece and is done before the next is begun. */
const afterPiece = (after: readonly WorkStep[], id: string) => after.filter((step) => step.after === id);

/** What is done when all pieces are there. */
const afterAll = (after: readonly WorkStep[]) => after.filter((step) => step.after === undefined);

/** All that the hands do, in the order they do it: each piece with what is worked on it, then what joins them. */
export function workOf(pieces: readonly Piece[], after: readonly WorkStep[]): Work[] {
  const asked = tailsAsked(worksIn(after));
  return [
    ...pieces.flatMap(({ id }): Work[] => [
      ...withTails([{ do: 'make', piece: id }], asked, id),
      ...worksIn(afterPiece(after, id)),
    ]),
    ...worksIn(afterAll(after)),
  ];
}

/** The work as it was walked, by its data. */
function walkedWork(pieces: readonly Piece[], after: readonly WorkStep[]): Map<Work, Walked> {
  const told = new Map<Work, Walked>();
  walk(workOf(pieces, after), pieces, (walked) => told.set(walked.work, walked));
  return told;
}

function allSteps(
  pieces: readonly Piece[],
  after: readonly WorkStep[],
  schools: Schools,
  told: ReadonlyMap<Work, Walked>,
  spec: Plan['fabric'],
): Step[] {
  const steps: Step[] = [];
  const asked = tailsAsked(worksIn(after));
  for (const piece of pieces) {
    const colourOf = coloursOf(piece, spec);
    const tail = asked.get(tailOf(piece.id, 'start'));
    for (const step of pieceSteps(piece, schools, pieces.length > 1, colourOf, tail, tailsDone(spec).atChange))
      steps.push(step);
    const onIt = workSteps(afterPiece(after, piece.id), piece.id, schools, told, colourOf(piece.rows));
    for (const step of onIt) {
      // what ends a piece is told where its rows end, not among what joins it
      const { pieceName, section } = steps.at(-1)!;
      steps.push({ ...step, pieceName, section: step.section === 'joining' ? section : step.section });
    }
  }
  for (const step of workSteps(afterAll(after), pieces[0]!.id, schools, told)) steps.push(step);
  return steps;
}
