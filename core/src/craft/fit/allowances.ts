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

/** What a flap spends on crossing the top, mm: `D + πt/2` (law, handbook 3). */
export function flapTurn(D: Mm, t: Mm): Mm {
  return derive('mm', 'turn = D + πt/2', { D, t }, (v) => v.D + (Math.PI * v.t) / 2);
}
