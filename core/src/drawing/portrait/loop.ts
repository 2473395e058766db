import type { Part } from '../parts';
import { mm } from './ink';

/** A drop of chain that stands out from an edge, as a path in mm. */
export function loopOf({ x, y, reach, towards }: Extract<Part, { type: 'loop' }>): string {
  const upright = towards === 'down' || towards === 'up';
  const sign = towards === 'left' || towards === 'up' ? -1 : 1;
  const at = (along: number, across: number): string =>
    upright ? `${mm(x + across)} ${mm(y + sign * along)}` : `${mm(x + sign * along)} ${mm(y + across)}`;
  const half = reach * 0.42;
  return (
    `M${at(0, 0)}C${at(reach * 0.35, -half * 0.3)} ${at(reach * 0.55, -half)} ${at(reach * 0.8, -half * 0.75)}` +
    `C${at(reach * 1.06, -half * 0.45)} ${at(reach * 1.06, half * 0.45)} ${at(reach * 0.8, half * 0.75)}` +
    `C${at(reach * 0.55, half)} ${at(reach * 0.35, half * 0.3)} ${at(0, 0)}`
  );
}
