import type { FabricSpec } from '../craft/fabric';
import { firstFittings } from './lowered';
import { PLAN_FORMAT, type Plan } from './plan';
import { begunAs } from './withShape';
import { thingDefinition, type ThingSpec } from '../craft/things';

/** What a plan begins with where no swatch has been worked yet. */
export const FIRST_FABRIC: FabricSpec = {
  stitch: 'single',
  hookMm: 4,
  yarn: { name: 'medium yarn', category: 4, metresPer100g: 190 },
};

/** Whose something is, where its name says it: “my phone”, “Ann’s glasses”. */
const OWNED = /^(?:my|our|your|his|her|their|[^\s]+[’']s)\b/i;

/** A thing as it stands in a sentence: “the field phone”, “my phone”. */
function calledSo(name: string): string {
  const plain = name.replace(/^the /i, '');
  if (!OWNED.test(plain)) return `the ${plain}`;
  return plain.replace(/^(?:My|Our|Your|His|Her|Their)\b/, (own) => own.toLowerCase());
}

/** What a cover for a thing is called until its maker says otherwise. */
export function titleFor(thing: ThingSpec): string {
  const name = String(thing.name ?? '').trim() || 'thing';
  return `${thingDefinition(thing.kind)!.start.word} for ${calledSo(name)}`.slice(0, 120);
}

/** A plan for a thing of a known kind, begun as covers for its kind usually are; everything can be changed. */
export function planFor(thing: ThingSpec, fabric: FabricSpec): Plan {
  const { start } = thingDefinition(thing.kind)!;
  return {
    format: PLAN_FORMAT,
    title: titleFor(thing),
    thing,
    fabric,
    shape: begunAs(start.shape.kind),
    fit: start.fit,
    fittings: firstFittings(start, thing),
  };
}
