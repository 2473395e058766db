import { withDefaults, type FieldValues } from '../../../base/units';
import { BASES, type BaseId } from './base';
import { cluster } from './cluster';
import { crossedDouble } from './crossedDouble';
import type { StitchDefinition, StitchPattern } from './definition';
import { double } from './double';
import { doubleV } from './doubleV';
import { eyelet } from './eyelet';
import { halfDouble } from './halfDouble';
import { halfDoubleV } from './halfDoubleV';
import { linkedSingle } from './linkedSingle';
import { net } from './net';
import { own } from './own';
import { fixed, plainPattern } from './plain';
import { single } from './single';
import { singleBackLoop } from './singleBackLoop';
import { spike } from './spike';
import { stripes } from './stripes';
import { wrappedHalfDouble } from './wrappedHalfDouble';

export * from './base';
export * from './definition';
export { uncounted } from './start';
export * from './symbols';

/** Every stitch pattern. A new one is a file of its own and a line here. */
export const STITCHES: readonly StitchDefinition[] = [
  single,
  halfDouble,
  double,
  singleBackLoop,
  spike,
  crossedDouble,
  halfDoubleV,
  doubleV,
  linkedSingle,
  wrappedHalfDouble,
  net,
  eyelet,
  cluster,
  stripes,
  own,
];

/** The stitch pattern of an id; undefined where there is none. */
export function stitchDefinition(id: string): StitchDefinition | undefined {
  return STITCHES.find((stitch) => stitch.id === id);
}

/** A base stitch that is only worked among others, as it is by itself: a floor of trebles under their stripes. */
function plainBase(id: string): StitchDefinition {
  const base = BASES[id as BaseId];
  return fixed(plainPattern({ id, name: base.name, summary: '', base: id as BaseId }));
}

const made = new Map<string, StitchPattern>();

/** A stitch pattern with its options set; the same wish gives the same pattern. */
export function stitchPattern(id: string, options: FieldValues = {}): StitchPattern {
  const definition = stitchDefinition(id) ?? plainBase(id);
  const filled = withDefaults(definition.options, options);
  const key = `${id} ${JSON.stringify(filled)}`;
  const known = made.get(key);
  if (known) return known;
  const pattern = definition.make(filled);
  // few patterns are ever asked for; a maker who types through hundreds of names only fills a map
  if (made.size > 500) made.clear();
  made.set(key, pattern);
  return pattern;
}
