import { contrastAdvice } from './contrast';
import { cautionsOf } from '../craft/cautions';
import { ONE_SITTING_MINUTES } from './supplies';
import { type WorkedFabric } from '../craft/fabric';
import { derive } from '../base/figure';
import { pieceHues, type HuedRows } from './hues';
import { wordText, type GoesIn, type Schools } from '../pattern';
import { withMisfit } from './misfit';
import type { Plan } from '../plan/plan';
import type { Piece, WorkStep } from '../shapes';
import type { Walked, Work } from '../piece';
import { carrierDefinition, type Hazard, type WorkedThing } from '../craft/things';
import { type WorkedOut, type WorkedPiece, type Worked, type WorkedGauge, WORKED_FORMAT } from './types';
import { adviceOf } from './advice';
import { canBeColoured } from './colours';
import { workOut } from './build';
import { allPieces, stepsAfter, walkedWork, allSteps } from './steps';
import { suppliesOf } from './supplies/suppliesOf';
import { viewsIn } from './views';

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
    gauges: gaugesOf(plan, out),
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
    pockets: built.pockets ?? [],
    rooms: roomsTold(out),
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

/** Every room by the name of what lies in it; those of one name are numbered. */
function roomsTold({ built, placed, schools }: WorkedOut): string[] {
  const rooms = [...(built.model.rooms ?? []), ...placed.flatMap(({ rooms: own }) => own ?? [])];
  if (rooms.length < 2) return [];
  const names = rooms.map(({ name }) => wordText(name, schools));
  return names.map((name, index) => {
    const alike = names.filter((one) => one === name).length;
    return alike > 1 ? `${name} ${names.slice(0, index + 1).filter((one) => one === name).length}` : name;
  });
}

/** What is done, step by step, and what it takes. */
export function toMake(plan: Plan, out: WorkedOut): Pick<Worked, 'steps' | 'supplies'> {
  const { after, walked } = workedThrough(out);
  const pieces = allPieces(out);
  return {
    steps: allSteps(pieces, after, out.schools, walked, plan.fabric, triedWith(out.thing)),
    supplies: suppliesOf(plan, out, after, walked),
  };
}

/** What a piece is tried with: nothing was measured that goes into a bag of a wished size. */
const triedWith = ({ profile, pockets, wants = [] }: WorkedOut['thing']): GoesIn =>
  profile === 'given' ? 'size' : pockets > 1 || wants.length > 1 ? 'things' : 'item';

/** What is done beside the rows, and all work as it was walked. */
export function workedThrough(out: WorkedOut): { after: readonly WorkStep[]; walked: Map<Work, Walked> } {
  const after = stepsAfter(out);
  return { after, walked: walkedWork(out, after) };
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
function hazardsOf({ carrier }: Plan, { thing, built, placed }: WorkedOut, minutes: number): ReadonlySet<Hazard> {
  return new Set([
    ...thing.hazards,
    ...(carrier ? carrierDefinition(carrier.kind).hazards(carrier) : []),
    ...(built.hazards ?? []),
    ...placed.flatMap(({ definition, hazards = [] }) => [...(definition.hazards ?? []), ...hazards]),
    ...(minutes > ONE_SITTING_MINUTES ? (['long-work'] as const) : []),
  ]);
}

function pickThing({ girth, width, height, depth }: WorkedThing): Worked['thing'] {
  return { girth, width, height, depth };
}

/** A gauge is told in the stitch it is of (handbook 4.3): the plan's own, what was measured by itself, and all that much is worked in. */
function gaugesOf(
  { fabric: { stitch, pattern, bands = [] } }: Plan,
  { fabric, built, placed }: WorkedOut,
): WorkedGauge[] {
  const measured = bands.flatMap(({ gauge }, index) => (gauge ? (fabric.bands?.[index]?.fabric ?? []) : []));
  const pieces = allPieces({ built, placed });
  const otherWay = workedTheOtherWay(built.pieces, fabric);
  // a shape that is of one stitch alone is told in that
  const [main] = built.pieces;
  const own =
    main && !main.bands && main.fabric.stitch.id !== fabric.stitch.id
      ? main.fabric
      : fabric.also(stitch, fabric.worked, pattern);
  const worked = pieces.flatMap(workedIn);
  const told = distinctGauges([own, ...measured, ...worked, ...otherWay]);
  return told.map((one) => ({
    stitch: one.stitch.id,
    worked: one.worked,
    hookMm: one.hookMm,
    stitchWidth: one.stitchWidth,
    rowHeight: one.rowHeight,
    ...(one === own && main?.bands && !worked.some((used) => isAlike(used, own)) ? { unused: true as const } : {}),
  }));
}

/** What makes so much of a piece that its gauge is worth meeting. */
function workedIn({ bands, fabric, rows, beside }: Piece): WorkedFabric[] {
  if (bands) return bands.filter(({ from, to }) => to - from >= FEW_COURSES).map((band) => band.fabric);
  return rows > FEW_COURSES && !beside ? [fabric] : [];
}

const isAlike = (a: WorkedFabric, b: WorkedFabric): boolean =>
  a.stitch.id === b.stitch.id && a.worked === b.worked && a.hookMm === b.hookMm;

const distinctGauges = (fabrics: readonly WorkedFabric[]): WorkedFabric[] =>
  fabrics.filter((one, at) => fabrics.findIndex((other) => isAlike(other, one)) === at);

/** So few courses are told by their count alone. */
const FEW_COURSES = 4;

/** What a piece of rounds is worked in where it goes on in rows, and the other way: their heights are not the same. */
function workedTheOtherWay(pieces: readonly Piece[], fabric: WorkedFabric): WorkedFabric[] {
  const way = fabric.worked === 'rows' ? 'rounds' : 'rows';
  const kind = way === 'rows' ? 'row' : 'round';
  const stitches = pieces.flatMap(({ courses }) => {
    const others = courses.filter((course) => course.kind === kind);
    if (others.length < FEW_COURSES || others.length === courses.length) return [];
    const worked = others[1]!.instructions.find((one) => one.do === 'work');
    return worked?.do === 'work' ? [worked.stitch] : [];
  });
  return [...new Set(stitches)].map((stitch) => fabric.also(stitch, way));
}

function pickFabric({ stitchWidth, rowHeight, chain, thickness, cover, finishedAs }: WorkedFabric): Worked['fabric'] {
  return { stitchWidth, rowHeight, chain, thickness, cover, ...(finishedAs ? { finishedAs } : {}) };
}
