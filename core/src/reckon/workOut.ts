import {
  doubtGauge,
  fitness,
  mainColour,
  swatchAdvice,
  withBands,
  workFabric,
  type ColouredTop,
  type Duty,
  type FabricSpec,
  type WorkedFabric,
  type WorkedIn,
} from '../craft/fabric';
import { chosen, derive, PlanProblem, type Advice, type Figure, type PlanFault } from '../base/figure';
import { workFit, type WorkedFit } from '../craft/fit';
import {
  belongsOn,
  collisions,
  fittingDefinition,
  giverOf,
  loopsOnBorders,
  onRows,
  onEdging,
  whyNotOn,
  type DemandContext,
  type FittingDefinition,
  type Placed,
} from '../fittings';
import { DEFAULT_SCHOOLS, wordText, type Schools } from '../pattern';
import { begunFaults, onBegun } from '../plan/begun';
import type { Plan } from '../plan/plan';
import {
  shapeDefinition,
  type Built,
  type Demands,
  type ShapeContext,
  type ShapeDefinition,
  type WorkStep,
} from '../shapes';
import { foundationAdvice } from '../shapes/common/advice';
import { coloursOf } from './supplies';
import { checkThing, workThing, type ThingSpec, type WorkedThing } from '../craft/things';
import { mmToken, withArticle, withDefaults, type FieldValue } from '../base/units';

/** What of a plan does not hang on the counts picked for it: worked out once for all of them. */
export interface Prepared {
  plan: Plan;
  shape: ShapeDefinition;
  schools: Schools;
  /** What the shape is built from, but for the picks. */
  context: Omit<ShapeContext, 'picks'>;
  asked: { definition: FittingDefinition; context: DemandContext }[];
}

/** Everything of a plan that has a size, before any of it is put into words. */
export interface WorkedOut {
  shape: ShapeDefinition;
  thing: WorkedThing;
  fabric: WorkedFabric;
  fit: WorkedFit;
  schools: Schools;
  built: Built;
  placed: (Placed & { definition: FittingDefinition })[];
}

/**
 * Sizes, counts and places of a plan, without its words.
 * @throws PlanProblem naming every entry that cannot be reckoned, its limit and the repair
 */
export function workOut(plan: Plan): WorkedOut {
  return workWith(prepare(plan), plan.picks);
}

/**
 * Thing, fabric, fit and what the fittings ask for.
 * @throws PlanProblem naming every entry that cannot be reckoned, its limit and the repair
 */
export const prepare = (plan: Plan): Prepared => inWords(plan, () => prepared(plan));

function prepared(plan: Plan): Prepared {
  const shape = shapeDefinition(plan.shape.kind)!;
  refuse(fittingFaults(plan, shape));

  const schools: Schools = { ...DEFAULT_SCHOOLS, ...plan.schools };
  const thing = thingOnce(plan.thing);
  refuseUnsuited(shape, thing);
  refuse(bandFaults(plan, shape));
  const { colours, sequence } = plan.fabric;
  const swatched = withBands(plan.fabric, fabricOnce(plan.fabric, shape.worked, thing.girth));
  const isStriped = (colours?.length ?? 0) > 0 || sequence !== undefined;
  const stripes = {
    ...(colours?.length ? { colours } : {}),
    ...(sequence ? { sequence } : {}),
    ...(!isStriped && plan.fabric.yarn?.runs ? { eachRow: true } : {}),
  };
  const fabric = Object.keys(stripes).length > 0 ? { ...swatched, stripes } : swatched;
  const { stretchAcross, stretchAlong } = fabric.stitch.factors;
  const fit = workFit(plan.fit, thing, shape.around === 'rows' ? stretchAlong : stretchAcross);
  const specs = plan.fittings ?? [];
  const closesFlap = specs.some(({ kind }) => fittingDefinition(kind)!.closesFlap);
  const beside = specs.map(({ kind }) => kind);
  const carrier = plan.carrier ? { carrier: plan.carrier } : {};
  const asked = specs.map((spec, index) => {
    const definition = fittingDefinition(spec.kind)!;
    const options = withDefaults(definition.options, spec);
    return {
      definition,
      context: { path: `fittings[${index}]`, options, beside, closesFlap, thing, fabric, fit, ...carrier },
    };
  });
  const demands = demandsOf(asked.map(({ definition, context }) => definition.demands?.(context) ?? {}));
  const options = withDefaults(shape.options, plan.shape);
  return {
    plan,
    shape,
    schools,
    context: {
      thing: besideEachOther(thing, fit, fabric, demands.face, shape.besideColumns?.({ fabric, options }) ?? 0),
      fabric,
      fit,
      options,
      demands,
      schools,
      ...carrier,
    },
    asked,
  };
}

/**
 * The plan prepared, with these counts picked.
 * @throws PlanProblem where a fitting finds no place
 */
export const workWith = (given: Prepared, picks: Plan['picks'] = {}): WorkedOut =>
  inWords(given.plan, () => workedWith(given, picks));

/** What cannot be reckoned is told in the reader's unit and terms. */
function inWords<T>({ schools }: Plan, make: () => T): T {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    const reader = { ...DEFAULT_SCHOOLS, ...schools };
    throw new PlanProblem(error.errors.map(({ path, message }) => ({ path, message: wordText(message, reader) })));
  }
}

function workedWith({ plan, shape, schools, context, asked }: Prepared, picks: NonNullable<Plan['picks']>): WorkedOut {
  const { thing, fabric, fit } = context;
  const { begun } = plan;
  const build = (picked: Record<string, number>, given = fabric): Built =>
    inColours(
      onChainHook(shape.build({ ...context, fabric: given, picks: picked }), plan.fabric.chainHookMm),
      plan.fabric.pieceColours,
    );
  const builtOf = (given: WorkedFabric): Built => (begun ? onBegun(build, picks, begun, given) : build(picks, given));
  const placedOn = (built: Built) =>
    asked.map(({ definition, context: ask }, index) => {
      const placed = definition.place({ ...ask, shape: shape.id, built, schools });
      return {
        definition,
        ...inColour(placed, plan.fittings?.[index]?.colour ?? goesOnIn(placed, built, plan.fabric)),
      };
    });
  const plain = builtOf(fabric);
  const plainly = placedOn(plain);
  const tops = topsSaid(plainly, plan.fittings);
  // where a top lies is known once it stands; in its colour it is the same piece
  const built = tops.length > 0 ? builtOf({ ...fabric, stripes: { ...fabric.stripes, tops } }) : plain;
  const placed = tops.length > 0 ? placedOn(built) : plainly;
  const out = { shape, thing, fabric, fit, schools, ...onRows(loopsOnBorders(built, onEdging(placed))) };
  if (begun) refuse(begunFaults([...out.built.pieces, ...out.placed.flatMap(({ pieces }) => pieces ?? [])], begun));
  return out;
}

/** All that there is to say of a plan worked out, the thing first, the fittings last. */
export function adviceOf(plan: Plan, { thing, fabric, built, placed }: WorkedOut): Advice[] {
  return [
    ...thing.advice,
    ...doubtGauge(plan.fabric, fabric),
    ...swatchAdvice(plan.fabric),
    ...fitness(plan.fabric, fabric, dutyOf(thing), (spec) => workFabric(spec, fabric.worked, thing.girth)),
    ...built.pieces.slice(0, 1).flatMap((piece) => foundationAdvice(piece.fabric, piece.foundation)),
    ...built.advice,
    ...placed.flatMap((p) => p.advice),
    ...conditionAdvice(built),
    ...collisions(placed),
  ];
}

const things = new WeakMap<ThingSpec, WorkedThing>();

/**
 * A plan's thing, checked and worked once for as long as the plan holds the same entry.
 * @throws PlanProblem naming what of it cannot be
 */
function thingOnce(spec: ThingSpec): WorkedThing {
  const known = things.get(spec);
  if (known) return known;
  refuse(checkThing(spec).map((fault) => ({ ...fault, path: `thing.${fault.path}` })));
  const thing = workThing(spec);
  things.set(spec, thing);
  return thing;
}

const fabrics = new WeakMap<FabricSpec, Map<string, WorkedFabric>>();

/**
 * A plan's fabric, worked once for as long as the plan holds the same entry: a plan is never changed in place, and most that is
 * changed of one leaves its fabric as it was.
 */
function fabricOnce(spec: FabricSpec, worked: WorkedIn, girth: Figure<'mm'>): WorkedFabric {
  const known = fabrics.get(spec) ?? new Map<string, WorkedFabric>();
  fabrics.set(spec, known);
  // of the girth a fabric knows only what its chains reach around
  const key = `${worked} ${girth.value} ${girth.sd ?? 0}`;
  const fabric = known.get(key) ?? workFabric(spec, worked, girth);
  known.set(key, fabric);
  return fabric;
}

/** What the thing asks of the fabric: not to let its tips through, and to carry it. */
function dutyOf({ wants, mass, getsWet, profile }: WorkedThing): Duty {
  const tips = (wants ?? []).map(({ tip }) => tip);
  return {
    ...(tips.length > 0 ? { tipMm: Math.min(...tips) } : {}),
    ...(mass ? { loadG: mass.value } : {}),
    small: profile === 'given',
    wet: getsWet,
  };
}

/** All that the fittings ask of the shape; conditions on the count add up, of faces the widest counts. */
function demandsOf(all: readonly Demands[]): Demands {
  const conditions = all.flatMap((demands) => demands.conditions ?? []);
  const faces = all.flatMap(({ face }) => face ?? []).sort((a, b) => b.value - a.value);
  return {
    ...(Object.assign({}, ...all) as Demands),
    ...(conditions.length > 0 ? { conditions } : {}),
    ...(faces[0] ? { face: faces[0] } : {}),
  };
}

/**
 * Things in channels beside each other are as far round as their channels make them: the face they need, less what the
 * fit and the fabric add to it (law, handbook 6). A face that is wide enough as it is changes nothing.
 */
function besideEachOther(
  thing: WorkedThing,
  fit: WorkedFit,
  fabric: WorkedFabric,
  face: Demands['face'],
  beside: number,
): WorkedThing {
  if (!face) return thing;
  const girth = derive(
    'mm',
    'g = 2 (F + beside) − ease − πt, the channels side by side',
    {
      F: face,
      beside: chosen(beside, 'mm', 'edgings beside the columns, less what a join takes'),
      ease: fit.girthEase,
      t: fabric.thickness,
    },
    (v) => 2 * (v.F + v.beside) - v.ease - Math.PI * v.t,
  );
  // how wide the fabric comes out is not the things' own doubt
  const { sd = 0 } = thing.girth;
  return girth.value > thing.girth.value ? { ...thing, girth: { ...girth, sd } } : thing;
}

/** Foundation chains that are worked with a hook of their own say so. */
function onChainHook(built: Built, hookMm: number | undefined): Built {
  if (hookMm === undefined) return built;
  const pieces = built.pieces.map((piece) =>
    piece.foundation.kind === 'ring' ? piece : { ...piece, foundation: { ...piece.foundation, hookMm } },
  );
  return { ...built, pieces };
}

/** Pieces that say a colour of their own. */
function inColours(built: Built, colours: FabricSpec['pieceColours']): Built {
  if (!colours || Object.keys(colours).length === 0) return built;
  const pieces = built.pieces.map((piece) => (colours[piece.id] ? { ...piece, colour: colours[piece.id]! } : piece));
  return { ...built, pieces };
}

/** The colour a border goes on in, from the last row it is worked on, where that is another than the main one. */
function goesOnIn({ steps, pieces = [] }: Placed, built: Built, spec: FabricSpec): string | undefined {
  const working = steps.filter(takesYarn);
  const [first] = working;
  if (pieces.length > 0 || first?.does?.[0]?.do !== 'border' || !working.every(({ goesOn }) => goesOn))
    return undefined;
  const piece = built.pieces.find(({ id }) => id === first.after);
  if (!piece || (!piece.fabric.stripes && !piece.colour)) return undefined;
  const colour = coloursOf(piece, spec)(piece.rows);
  return colour === mainColour(spec) ? undefined : colour;
}

/** A fitting in a colour of its own: what is worked for it, and as it is drawn. */
function inColour(placed: Placed, colour: FieldValue | undefined): Placed {
  if (typeof colour !== 'string' || colour === '') return placed;
  const { pieces, steps, parts } = placed;
  if (!canBeColoured(placed)) return placed;
  return {
    ...placed,
    ...(pieces ? { pieces: pieces.map((piece) => ({ ...piece, colour })) } : {}),
    steps: steps.map((step) => (takesYarn(step) ? { ...step, colour } : step)),
    parts: Object.fromEntries(
      Object.entries(parts).map(([view, list]) => [view, list.map((part) => ({ ...part, colour }))]),
    ),
  };
}

/** The tops that are to be in a colour of their own. */
const topsSaid = (placed: readonly Placed[], specs: Plan['fittings'] = []): ColouredTop[] =>
  placed.flatMap(({ top }, index) => {
    const colour = specs[index]?.topColour;
    return top && typeof colour === 'string' && colour !== '' ? [{ ...top, colour }] : [];
  });

/** Whether a step works stitches of its own, or twists a cord: what is sewn on is sewn with what hangs there. */
const takesYarn = ({ does = [] }: WorkStep): boolean =>
  does.some((work) => work.do === 'border' || work.do === 'free' || (work.do === 'sew' && work.made));

/** Whether a fitting can be in a colour of its own: it is worked beside the piece’s rows. */
export const canBeColoured = ({ pieces = [], steps }: Placed): boolean => pieces.length > 0 || steps.some(takesYarn);

function refuse(faults: readonly PlanFault[]): void {
  if (faults.length > 0) throw new PlanProblem(faults);
}

function refuseUnsuited(shape: ShapeDefinition, thing: WorkedThing): void {
  const takes = shape.takes[thing.profile];
  const why = takes === true ? shape.unsuited?.(thing) : takes;
  if (why) refuse([{ path: 'shape.kind', message: why }]);
}

/** Bands on a shape that is of one stitch throughout, or in colours that the stripes say otherwise. */
function bandFaults(
  { fabric: { bands = [], colours = [], sequence } }: Plan,
  { name, bands: takes }: ShapeDefinition,
): PlanFault[] {
  if ((colours.length > 0 || sequence) && bands.some(({ colour }) => colour))
    return [
      {
        path: sequence ? 'fabric.sequence' : 'fabric.colours',
        message: 'Stripes and bands both say what colour a row has. Remove the stripes, or the colours of the bands.',
      },
    ];
  if (bands.length === 0 || takes) return [];
  return [
    {
      path: 'fabric.bands',
      message: `“${name}” is worked in one stitch. Remove the bands, or choose a strip, panels, a packet, a tube or a saddle.`,
    },
  ];
}

/** Faults of the fittings taken together: one out of place, twice, or without what it needs. */
function fittingFaults({ fittings = [] }: Plan, shape: ShapeDefinition): PlanFault[] {
  const kinds = fittings.map(({ kind }) => kind);
  return kinds.flatMap((kind, index): PlanFault[] => {
    const fitting = fittingDefinition(kind)!;
    const name = fitting.name.toLowerCase();
    const giver = giverOf(fitting);
    const messages = [
      kinds.indexOf(kind) !== index && `There is ${withArticle(name)} already. Remove one of the two.`,
      !belongsOn(shape, fitting) &&
        `“${fitting.name}” cannot be added to “${shape.name}”. ${whyNotOn(shape, fitting)} Choose one of these shapes, or remove it.`,
      giver &&
        !kinds.includes(giver.id) &&
        `${withArticle(name).replace(/^a/, 'A')} needs ${withArticle(giver.name.toLowerCase())}. Add the ${giver.name.toLowerCase()}, or remove the ${name}.`,
    ];
    return messages.flatMap((message) => (message ? [{ path: `fittings[${index}].kind`, message }] : []));
  });
}

/** Costing the count so much is worth a word, mm (prior, ours). */
const COSTS_TELL_MM = 3;

/** What each wish of a fitting costs the count, where it puts the best count 3 mm or more off (handbook 4). */
function conditionAdvice({ choices }: Built): Advice[] {
  return choices.flatMap(({ id, costs, noun }) =>
    costs
      .filter(({ mm }) => mm >= COSTS_TELL_MM)
      .map(({ text, mm, without }) => ({
        id: `condition-costs-${id}`,
        severity: 'advice' as const,
        text: `The count has to be ${text}. That is ${mmToken(mm)} further from the size you asked for than the best count, ${without} ${noun}.`,
        repair: 'Keep it, or change the add-on that needs this count.',
        at: 'fittings',
      })),
  );
}
