import type { Plan } from './plan';

type Holder = Record<string, unknown>;

/** `fittings[1].buttonMm` as its keys. */
function keysOf(path: string): string[] {
  return path.split(/[.[\]]+/).filter((key) => key !== '');
}

/** A copy with the value at a path set, or taken out where it is undefined; what lies between is made. */
function set(holder: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  const isList = Array.isArray(holder);
  const copy: Holder = isList ? ([...(holder as unknown[])] as unknown as Holder) : { ...(holder as Holder) };
  if (rest.length > 0) copy[key!] = set(copy[key!] ?? {}, rest, value);
  else if (value === undefined) delete copy[key!];
  else copy[key!] = value;
  return copy;
}

/**
 * A plan with a repair applied: the changes of an advice, by path.
 * @param change as an advice gives it; undefined takes an entry out
 */
export function applyChange(plan: Plan, change: Readonly<Record<string, unknown>>): Plan {
  return Object.entries(change).reduce<unknown>(
    (changed, [path, value]) => set(changed, keysOf(path), value),
    plan,
  ) as Plan;
}
