import { cautionsOf, type Caution } from './cautions';
import {
  byColour,
  coloursOf,
  notionsOf,
  ONE_SITTING_MINUTES,
  tallyPieces,
  tallyWork,
  workingTime,
  yarnNeed,
  type ColourNeed,
  type YarnNeed,
} from './supplies';
import type { Instruction, WorkedFabric } from './fabric';
import { derive, type Advice, type Figure } from './figure';
import type { Notion, Placed } from './fittings';
import { pieceEnd } from './shapes/common/joins';
import { markersIn } from './shapes/common/markers';
import { pieceSteps, wordText, workSteps, type Schools, type Step } from './pattern';
import { bandsOf, walk, type Walked, type Work } from './piece';
import type { Plan } from './plan';
import type { Choice, Phase, Piece, View, WorkStep } from './shapes';
import { carrierDefinition, type Hazard, type WorkedThing } from './things';
import { formatNumber } from './units';
import { adviceOf, prepare, workOut, workWith, type WorkedOut } from './workOut';

export const WORKED_FORMAT = 'keep-snug.worked/1';

type Mm = Figure<'mm'>;

/** A piece as it is told: without what only the reckoning needs of it. */
export type WorkedPiece = Omit<Piece, 'courses' | 'reach' | 'fabric' | 'notes'>;

/** What a plan comes to: sizes, counts, positions, steps and drawings, all reckoned and nothing stored. */
export interface Worked {
  format: typeof WORKED_FORMAT;
  title: string;
  thing: { girth: Mm; width: Mm; height: Mm; depth: Mm };
  fabric: { stitchWidth: Mm; rowHeight: Mm; chain: Mm; thickness: Mm; cover: Figure<'1'> };
  pieces: WorkedPiece[];
  inside: { girth: Mm; depth: Mm };
  outside: { width: Mm; height: Mm; thickness: Mm };
  /** What the whole counts leave round and above the thing: inside size less thing size. */
  ease: { girth: Mm; cover: Mm };
  /** What the fit asked for, before counts were whole. */
  wanted: { girth: Mm; cover: Mm };
  choices: Choice[];
  fittings: { kind: string; figures: Record<string, Figure>; place: string }[];
  supplies: {
    yarn: YarnNeed;
    byColour: ColourNeed[];
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
 * @param plan a plan whose form has been checked (formats: parsePlan)
 * @throws PlanProblem naming every entry that cannot be reckoned, its limit and the repair
 * @source the whole handbook, in its own order
 */
export function reckon(plan: Plan): Worked {
  const out = workOut(plan);
  const { thing, fabric, fit, schools, built, placed } = out;
  const after = stepsAfter(out);
  const pieces = allPieces(out);
  const told = walkedWork(pieces, after);
  const supplies = suppliesOf(plan, out, after, told);
  return {
    format: WORKED_FORMAT,
    title: plan.title,
    thing: pickThing(thing),
    fabric: pickFabric(fabric),
    pieces: pieces.map(({ courses: _c, reach: _r, fabric: _f, notes: _n, ...piece }) => ({
      ...piece,
      summary: wordText(piece.summary, schools),
    })),
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
    fittings: placed.map(({ definition, figures, place }) => ({
      kind: definition.id,
      figures,
      place: wordText(place, schools),
    })),
    supplies,
    advice: adviceOf(plan, out).map((one) => ({
      ...one,
      text: wordText(one.text, schools),
      repair: wordText(one.repair, schools),
    })),
    cautions: cautionsOf(hazardsOf(plan, out, supplies.time.value), plan.setAside),
    steps: allSteps(pieces, placed, after, schools, told, plan.fabric),
    views: viewsOf(out),
  };
}

/** All that a plan's parts bring with them that someone should be warned of. */
function hazardsOf({ carrier }: Plan, { thing, shape, placed }: WorkedOut, minutes: number): ReadonlySet<Hazard> {
  return new Set([
    ...thing.hazards,
    ...(carrier ? carrierDefinition(carrier.kind).hazards(carrier) : []),
    ...(shape.hazards ?? []),
    ...placed.flatMap(({ definition }) => definition.hazards ?? []),
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
    return { views: viewsOf(out), choices: out.built.choices };
  };
}

/** The shape's views with its fittings laid on. */
function viewsOf({ built, placed, schools }: WorkedOut): View[] {
  return built.views.map((view) => ({
    ...view,
    parts: [...view.parts, ...placed.flatMap((p) => p.parts[view.id] ?? [])],
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
  const { placed, fabric } = out;
  const borders = { fabric: fabric.also('single', fabric.worked), colour: undefined, tally: tallyWork(told.values()) };
  const tallies = [...tallyPieces(pieces), borders];
  const cords = placed.reduce((sum, { yarnMm }) => sum + (yarnMm ?? 0), 0);
  const yarn = yarnNeed(plan.fabric, tallies, pieces, after, cords);
  return {
    yarn,
    byColour: byColour(plan.fabric, pieces, yarn.metres.value, yarn.grams.value),
    time: workingTime(tallies, after),
    notions: notionsOf(plan.fabric, fabric, [
      ...pieces.flatMap((piece) => [...markersOf(piece.notes, piece.times), ...hooksOf(piece)]),
      ...after.flatMap(({ notions }) => notions ?? []),
      ...placed.flatMap(({ notions }) => notions ?? []),
    ]),
    stitches: tallies.reduce((all, { tally }) => all + Object.values(tally).reduce((sum, count) => sum + count, 0), 0),
  };
}

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

function pickFabric({ stitchWidth, rowHeight, chain, thickness, cover }: WorkedFabric): Worked['fabric'] {
  return { stitchWidth, rowHeight, chain, thickness, cover };
}

const WEAVE_IN: WorkStep = {
  id: 'weave-in',
  section: 'finishing',
  kind: 'finish',
  phase: 'finish',
  text: 'Weave in all ends that are left: run each along a row and back, then trim.',
};

const PHASES: readonly Phase[] = ['open', 'joining', 'mouth', 'filled', 'finish'];

/** Steps by their phase, so that nothing is sewn shut that must still be reached; within a phase as they came. */
function inOrder(steps: readonly WorkStep[]): WorkStep[] {
  return PHASES.flatMap((phase) => steps.filter((step) => step.phase === phase));
}

/** A piece with what its fittings have to say of its rows. */
function noted(piece: Piece, placed: readonly Placed[]): Piece {
  const more = placed.flatMap(({ notes }) => notes ?? []).filter((note) => note.piece === piece.id);
  if (more.length === 0) return piece;
  const notes = { ...piece.notes };
  for (const { row, text } of more) notes[row] = notes[row] ? `${notes[row]} ${text}` : text;
  return { ...piece, notes };
}

/** The shape's own pieces and those made for its fittings. */
export function allPieces({ built, placed }: Pick<WorkedOut, 'built' | 'placed'>): Piece[] {
  return [...built.pieces, ...placed.flatMap(({ pieces }) => pieces ?? [])];
}

/** All that is done beside the rows, in an order that leaves nothing sewn shut. */
export function stepsAfter({ built, placed }: Pick<WorkedOut, 'built' | 'placed'>): WorkStep[] {
  const small = placed.flatMap(({ pieces = [] }) => pieces).filter(({ foundation }) => foundation.kind === 'chain');
  return inOrder([...built.assembly, ...small.flatMap(pieceEnd), ...placed.flatMap(({ steps }) => steps), WEAVE_IN]);
}

/** What belongs to a piece and is done before the next is begun. */
const afterPiece = (after: readonly WorkStep[], { id }: Piece) => after.filter((step) => step.after === id);

/** What is done when all pieces are there. */
const afterAll = (after: readonly WorkStep[]) => after.filter((step) => step.after === undefined);

/** All that the hands do, in the order they do it: each piece with what is worked on it, then what joins them. */
export function workOf(pieces: readonly Piece[], after: readonly WorkStep[]): Work[] {
  const does = (steps: readonly WorkStep[]) => steps.flatMap((step) => step.does ?? []);
  return [
    ...pieces.flatMap((piece): Work[] => [{ do: 'make', piece: piece.id }, ...does(afterPiece(after, piece))]),
    ...does(afterAll(after)),
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
  placed: readonly Placed[],
  after: readonly WorkStep[],
  schools: Schools,
  told: ReadonlyMap<Work, Walked>,
  spec: Plan['fabric'],
): Step[] {
  const steps: Step[] = [];
  for (const piece of pieces) {
    const colourOf = coloursOf(piece, spec);
    const replaced = replacedIn(piece, placed);
    for (const step of pieceSteps(noted(piece, placed), schools, replaced, pieces.length > 1, colourOf))
      steps.push(step);
    for (const step of workSteps(afterPiece(after, piece), piece.id, schools, told)) {
      // what ends a piece is told where its rows end, not among what joins it
      const { pieceName, section } = steps.at(-1)!;
      steps.push({ ...step, pieceName, section: step.section === 'joining' ? section : step.section });
    }
  }
  for (const step of workSteps(afterAll(after), pieces[0]!.id, schools, told)) steps.push(step);
  return steps;
}

/** The rows of a piece that its fittings have worked otherwise. */
function replacedIn({ id }: Piece, placed: readonly Placed[]): Map<number, Instruction[]> {
  const replaced = new Map<number, Instruction[]>();
  for (const { rows } of placed)
    for (const { piece, row, instructions } of rows) if (piece === id) replaced.set(row, instructions);
  return replaced;
}
