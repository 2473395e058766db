import { depthWindow } from './depthWindow';
import type { FitDefinition } from './fits';

export type Verdict = 'tight' | 'fits' | 'loose';

/**
 * Whether a thing goes in and stays in: tight when even the stretch a fit may use does not let it in, loose when the
 * inside exceeds the thing by more than the fit's slack (handbook 3, the tests of the chance of fit).
 *
 * @param inside inside girth, mm
 * @param girth the thing's girth, mm
 * @param stretch comfortable stretch across, as a fraction
 */
export function verdict(inside: number, girth: number, stretch: number, fit: FitDefinition): Verdict {
  if (inside * (1 + fit.useOfStretch * stretch) < girth) return 'tight';
  return inside > girth * (1 + fit.slack) ? 'loose' : 'fits';
}

/** The same of an inside depth that a count decides: tight where the thing stands out, loose where it drops out of reach. */
export function depthVerdict(inside: number, height: number, cover: number): Verdict {
  const { least, most } = depthWindow(height, cover);
  if (inside < least) return 'tight';
  return inside > most ? 'loose' : 'fits';
}
