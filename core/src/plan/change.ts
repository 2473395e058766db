import { Immer } from 'immer';
import type { Plan } from './plan';

/** Plans are shared by what was not changed in them, and never frozen: whoever holds one may go on with it. */
const { produce } = new Immer({ autoFreeze: false });

type Holder = Record<string, unknown>;

/** `fittings[1].buttonMm` as its keys. */
const keysOf = (path: string): string[] => path.split(/[.[\]]+/).filter((key) => key !== '');

/** Sets the value at a path, or takes it out where it is undefined; what lies between is made. */
function set(plan: Holder, path: string, value: unknown): void {
  const keys = keysOf(path);
  const last = keys.pop()!;
  const holder = keys.reduce<Holder>((at, key) => (at[key] ??= {}) as Holder, plan);
  if (value === undefined) delete holder[last];
  else holder[last] = value;
}

/**
 * A plan with a repair applied: the changes of an advice, by path.
 * @param change as an advice gives it; undefined takes an entry out
 */
export const applyChange = (plan: Plan, change: Readonly<Record<string, unknown>>): Plan =>
  produce(plan, (draft) => {
    for (const [path, value] of Object.entries(change)) set(draft as unknown as Holder, path, value);
  });
