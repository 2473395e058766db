import { fittingDefinition, giverOf, type FittingSpec } from '../fittings';
import type { Plan } from './plan';

/**
 * A plan with a fitting and with what the fitting needs: each as it was set where it was parked, none of them twice.
 * @param kind of a known fitting
 */
export function withFitting({ parked = [], ...plan }: Plan, kind: string): Plan {
  const giver = giverOf(fittingDefinition(kind)!);
  const fittings = plan.fittings ?? [];
  const wanted = [...(giver ? [giver.id] : []), kind].filter((id) => !fittings.some((one) => one.kind === id));
  const added = wanted.map((id): FittingSpec => parked.find((one) => one.kind === id) ?? { kind: id });
  const left = parked.filter((one) => !added.includes(one));
  return { ...plan, fittings: [...fittings, ...added], ...(left.length > 0 ? { parked: left } : {}) };
}
