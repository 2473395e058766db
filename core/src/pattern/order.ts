import type { WorkStep } from '../shapes';

/**
 * Steps that come too late: each that must reach a place an earlier one has closed (handbook 0: an order that leaves
 * nothing sewn shut).
 *
 * @param steps in the order they are done
 * @returns a line for each, empty where the order is right
 */
export function orderFaults(steps: readonly WorkStep[]): string[] {
  const closed = new Map<string, string>();
  const faults: string[] = [];
  for (const { id, closes = [], reaches = [] } of steps) {
    for (const place of reaches) {
      const by = closed.get(place);
      if (by) faults.push(`${id} must reach ${place}, and ${by} has closed it`);
    }
    for (const place of closes) closed.set(place, id);
  }
  return faults;
}
