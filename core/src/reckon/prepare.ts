import { withBands, workFabric, type FabricSpec, type WorkedFabric, type WorkedIn } from '../craft/fabric';
import { chosen, derive, PlanProblem, type Figure } from '../base/figure';
import { workFit, type WorkedFit } from '../craft/fit';
import { fittingDefinition, type FittingDefinition } from '../fittings';
import { DEFAULT_SCHOOLS, wordText, type Schools } from '../pattern';
import type { Plan } from '../plan/plan';
import { shapeDefinition, type Demands } from '../shapes';
import { checkThing, workThing, type ThingSpec, type WorkedThing } from '../craft/things';
import { withDefaults, type FieldValues } from '../base/units';
import type { Prepared } from './types';
import { refuse, refuseUnsuited, bandFaults, fittingFaults } from './faults';

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
  const own = shape.stitch ? fabric.also(shape.stitch, shape.worked) : fabric;
  const { stretchAcross, stretchAlong } = own.stitch.factors;
  const fit = workFit(plan.fit, thing, shape.around === 'rows' ? stretchAlong : stretchAcross);
  const specs = plan.fittings ?? [];
  const closesFlap = specs.some(({ kind }) => fittingDefinition(kind)!.closesFlap);
  const beside = specs.map(({ kind }) => kind);
  const gifts = specs.flatMap(({ kind }) => fittingDefinition(kind)!.gives ?? []);
  const most = (of: (definition: FittingDefinition) => ((options: FieldValues) => number) | undefined) =>
    Math.max(
      0,
      ...specs.map((spec) => {
        const definition = fittingDefinition(spec.kind)!;
        return of(definition)?.(withDefaults(definition.options, spec)) ?? 0;
      }),
    );
  const opens = most((one) => one.opens);
  const cordEnds = most((one) => one.cordEnds);
  const carrier = plan.carrier ? { carrier: plan.carrier } : {};
  const asked = specs.map((spec, index) => {
    const definition = fittingDefinition(spec.kind)!;
    const options = withDefaults(definition.options, spec);
    return {
      definition,
      context: {
        path: `fittings[${index}]`,
        options,
        beside,
        gifts,
        opens,
        cordEnds,
        closesFlap,
        thing,
        fabric,
        fit,
        ...carrier,
      },
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

/** What cannot be reckoned is told in the reader's unit and terms. */
export function inWords<T>({ schools }: Plan, make: () => T): T {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof PlanProblem)) throw error;
    const reader = { ...DEFAULT_SCHOOLS, ...schools };
    throw new PlanProblem(error.errors.map(({ path, message }) => ({ path, message: wordText(message, reader) })));
  }
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
