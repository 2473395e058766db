import { derive, type Figure } from '../../base/figure';

type Mm = Figure<'mm'>;

/**
 * What a worked tube must measure round, along the middle of its fabric, mm: `C = g + ease + πt`. Round any convex
 * thing the middle line runs t/2 outside, so it is πt longer, whatever the section (law, handbook 3).
 *
 * @param pockets how many things lie side by side in it, each with fabric round it; none for a bag sized as it is
 */
export function tubeGirth(g: Mm, ease: Mm, t: Mm, pockets = 1): Mm {
  if (pockets === 1) return derive('mm', 'C = g + ease + πt', { g, ease, t }, (v) => v.g + v.ease + Math.PI * v.t);
  return derive(
    'mm',
    `C = g + ease${pockets === 0 ? '' : ` + ${pockets} πt`}`,
    { g, ease, t },
    (v) => v.g + v.ease + pockets * Math.PI * v.t,
  );
}

/**
 * What each face gives to a folded or seamed bottom, mm: `D/2 + πt/4`, half the thing's depth and a quarter turn of the
 * fabric's middle line round the bottom edge (law, handbook 3).
 */
export function bottomGive(D: Mm, t: Mm): Mm {
  return derive('mm', 'D/2 + πt/4', { D, t }, (v) => v.D / 2 + (Math.PI * v.t) / 4);
}

/**
 * What a flap spends on its way from the top of the back to the front's top edge, mm: over the thing's depth, with two quarter
 * turns of radius t/2, and outside the front's own layer; down to a front that is lower, or over one that is higher (law,
 * handbook 3). Level it is `D + t + πt/2`.
 *
 * @param over how far the front reaches above the thing; below 0 how far the thing stands out of it, mm
 */
export function crossing(D: number, t: number, over: number): number {
  const turns = (Math.PI * t) / 2;
  return over > 0 ? turns + Math.hypot(D, over) + t : turns + D + Math.hypot(t, over);
}

/** The same as a figure. */
export function flapTurn(D: Mm, t: Mm, over: Mm): Mm {
  return derive(
    'mm',
    over.value > 0 ? 'turn = πt/2 + √(D² + over²) + t' : 'turn = πt/2 + D + √(t² + over²)',
    { D, t, over },
    (v) => crossing(v.D, v.t, v.over),
  );
}
