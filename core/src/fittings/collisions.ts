import type { Advice } from '../base/figure';
import { formatNumber } from '../base/units';
import type { Area, FittingDefinition, Placed } from './definition';

/** Closer than this, two things on one face are in each other's way, mm (prior, ours). */
const CLEAR_MM = 1;

type Fitted = Placed & { definition: FittingDefinition };

function overlap(a: readonly [number, number], b: readonly [number, number]): number {
  return Math.min(a[1], b[1]) - Math.max(a[0], b[0]);
}

function meet(a: Area, b: Area): boolean {
  return a.face === b.face && overlap(a.x, b.x) > CLEAR_MM && overlap(a.y, b.y) > CLEAR_MM;
}

/** Mouths may be edged and looped at once: what is worked along them lies one above the other. */
function alongside(a: Area, b: Area): boolean {
  return a.face === 'mouth' && b.face === 'mouth';
}

/**
 * Fittings that are in each other's way on one face: a divider under a button, a strap's anchor on a snap. Each pair is
 * told once, with what to move (handbook 6).
 */
export function collisions(fittings: readonly Fitted[]): Advice[] {
  return fittings.flatMap((one, index) =>
    fittings.slice(index + 1).flatMap((other): Advice[] => {
      const pair = (one.areas ?? []).flatMap((a) =>
        (other.areas ?? []).filter((b) => meet(a, b) && !alongside(a, b)).map((b) => [a, b] as const),
      )[0];
      if (!pair) return [];
      const [a, b] = pair;
      const by = Math.max(1, Math.min(overlap(a.x, b.x), overlap(a.y, b.y)));
      return [
        {
          id: `collision-${one.definition.id}-${other.definition.id}`,
          severity: 'warning',
          text: `${one.definition.name} and ${other.definition.name.toLowerCase()} lie over each other on the ${a.face}, by {mm:${formatNumber(by)}}.`,
          repair: `Move one by {mm:${formatNumber(by + 2)}}, make one smaller, or leave one off.`,
          at: 'fittings',
        },
      ];
    }),
  );
}
