import { stitchDefinition } from '../../craft/fabric';
import { fittingDefinition } from '../../fittings';
import { FITS } from '../../craft/fit';
import { shapeDefinition } from '../../shapes';
import { CARRIERS, thingDefinition } from '../../craft/things';
import type { DocumentKind } from './kinds';

type Loose = Readonly<Record<string, unknown>>;

const isLoose = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/**
 * What of a document this version does not know: a shape, a stitch, a kind of thing that a later one has. Quick enough to be
 * asked of every document as it comes in; whether all else of it is as it should be is told by its form.
 *
 * @returns in words, such as `the shape “orb”`; nothing where all of it is known
 */
export function unknownIn(kind: DocumentKind, body: unknown): string | undefined {
  if (!isLoose(body)) return 'its form';
  switch (kind) {
    case 'plans':
      return inPlan(body);
    case 'makes':
      return inPlan(body.plan);
    case 'batches':
      return (
        inPlan(body.plan) ??
        first(listOf(body.variants), (one) => (isLoose(one) && one.thing ? inThing(one.thing) : undefined))
      );
    case 'things':
      return inThing(body.thing);
    case 'swatches':
      return stitch(body.stitch);
    case 'yarns':
      return isLoose(body.yarn) ? undefined : 'its form';
    case 'hours':
      return Array.isArray(body.week) ? undefined : 'its form';
  }
}

const first = (list: readonly unknown[], look: (one: unknown) => string | undefined): string | undefined => {
  for (const one of list) {
    const found = look(one);
    if (found) return found;
  }
  return undefined;
};

const named = (what: string, id: unknown, isKnown: boolean): string | undefined =>
  isKnown ? undefined : `the ${what} “${String(id).slice(0, 40)}”`;

const stitch = (id: unknown) => named('stitch', id, typeof id === 'string' && stitchDefinition(id) !== undefined);

function inThing(thing: unknown): string | undefined {
  if (!isLoose(thing)) return 'its form';
  const { kind, members } = thing;
  return (
    named('kind of thing', kind, typeof kind === 'string' && thingDefinition(kind) !== undefined) ??
    first(listOf(members), inThing)
  );
}

function inPlan(plan: unknown): string | undefined {
  if (!isLoose(plan)) return 'its form';
  const { shape, fabric, fit, fittings, parked, carrier, thing } = plan;
  if (!isLoose(shape) || !isLoose(fabric) || !isLoose(fit)) return 'its form';
  return (
    inThing(thing) ??
    named('shape', shape.kind, shapeDefinition(String(shape.kind)) !== undefined) ??
    named(
      'fit',
      fit.name,
      FITS.some(({ id }) => id === fit.name),
    ) ??
    stitch(fabric.stitch) ??
    first(listOf(fabric.bands), (band) => (isLoose(band) ? stitch(band.stitch) : 'its form')) ??
    first([...listOf(fittings), ...listOf(parked)], (one) =>
      isLoose(one) ? named('fitting', one.kind, fittingDefinition(String(one.kind)) !== undefined) : 'its form',
    ) ??
    (carrier === undefined
      ? undefined
      : named(
          'carrier',
          isLoose(carrier) ? carrier.kind : carrier,
          isLoose(carrier) && CARRIERS.some(({ id }) => id === carrier.kind),
        ))
  );
}
