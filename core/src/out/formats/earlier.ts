import { STITCHES, stitchDefinition } from '../../craft/fabric';

type Holder = Record<string, unknown>;

const isHolder = (value: unknown): value is Holder =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A document as an earlier version may have written it, read as it was meant: options of another stitch pattern
 * that stayed behind in `pattern` when the stitch was changed had no meaning, and are left out.
 */
export function withoutStrayOptions(value: unknown): unknown {
  if (!isHolder(value)) return value;
  if ('pattern' in value) return withOwnOptions(value);
  const cleaned = { ...value };
  for (const key of ['plan', 'fabric']) if (key in cleaned) cleaned[key] = withoutStrayOptions(cleaned[key]);
  if (Array.isArray(cleaned.fabrics)) cleaned.fabrics = cleaned.fabrics.map(withoutStrayOptions);
  return cleaned;
}

function withOwnOptions(fabric: Holder): Holder {
  const definition = typeof fabric.stitch === 'string' ? stitchDefinition(fabric.stitch) : undefined;
  if (!definition || !isHolder(fabric.pattern)) return fabric;
  const own = new Set(definition.options.map(({ key }) => key));
  const others = new Set(STITCHES.flatMap(({ options }) => options.map(({ key }) => key)));
  const kept = Object.entries(fabric.pattern).filter(([key]) => own.has(key) || !others.has(key));
  return { ...fabric, pattern: Object.fromEntries(kept) };
}
