import { PlanProblem, type PlanFault } from '../base/figure';
import { belongsOn, fittingDefinition, giverOf, whyNotOn } from '../fittings';
import type { Plan } from '../plan/plan';
import { SHAPES, type ShapeDefinition } from '../shapes';
import type { WorkedThing } from '../craft/things';
import { withArticle, withDefaults } from '../base/units';

/**
 * Refuses a plan where anything is wrong with it.
 * @throws PlanProblem naming all of it
 */
export function refuse(faults: readonly PlanFault[]): void {
  if (faults.length > 0) throw new PlanProblem(faults);
}

/**
 * Refuses a shape that does not go with the thing.
 * @throws PlanProblem saying why
 */
export function refuseUnsuited(shape: ShapeDefinition, thing: WorkedThing): void {
  const takes = shape.takes[thing.profile];
  const why = takes === true ? shape.unsuited?.(thing) : takes;
  if (why) refuse([{ path: 'shape.kind', message: why }]);
}

/** The shapes that can be of several stitches, by their names. */
const banded = (): string =>
  SHAPES.filter(({ bands }) => bands)
    .map(({ name }) => `“${name}”`)
    .join(', ');

/** Bands on a shape that is of one stitch throughout, or in colours that the stripes say otherwise. */
export function bandFaults(
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
      message: `“${name}” is worked in one stitch. Remove the bands, or choose one of these shapes: ${banded()}.`,
    },
  ];
}

/** Faults of the fittings taken together: one out of place, twice, or without what it needs. */
export function fittingFaults({ fittings = [] }: Plan, shape: ShapeDefinition): PlanFault[] {
  const kinds = fittings.map(({ kind }) => kind);
  const covering = fittings
    .map((spec) => ({ spec, definition: fittingDefinition(spec.kind)! }))
    .find(({ spec, definition }) => definition.coversMouth?.(withDefaults(definition.options, spec)));
  return kinds.flatMap((kind, index): PlanFault[] => {
    const fitting = fittingDefinition(kind)!;
    const name = fitting.name.toLowerCase();
    const giver = giverOf(fitting);
    const messages = [
      kinds.indexOf(kind) !== index && `There is ${withArticle(name)} already. Remove one of the two.`,
      !belongsOn(shape, fitting) &&
        `“${fitting.name}” cannot be added to “${shape.name}”. ${whyNotOn(shape, fitting)} Choose one of these shapes, or remove it.`,
      fitting.onMouth &&
        covering &&
        `${withArticle(name).replace(/^a/, 'A')} stands on the opening, and the ${covering.definition.name.toLowerCase()} is worked all round it. Lead that through eyelets, or remove one of the two.`,
      giver &&
        !kinds.includes(giver.id) &&
        `${withArticle(name).replace(/^a/, 'A')} needs ${withArticle(giver.name.toLowerCase())}. Add the ${giver.name.toLowerCase()}, or remove the ${name}.`,
    ];
    return messages.flatMap((message) => (message ? [{ path: `fittings[${index}].kind`, message }] : []));
  });
}
