import type { Part } from '../parts';

/** Px of a tail that is seen. */
const TAIL = 12;

/** An end of yarn that hangs in a wave, as long on every scale. */
export function tailPath({ x, y, towards }: Extract<Part, { type: 'tail' }>, scale: number): string {
  const on = towards === 'left' ? -TAIL / 4 : TAIL / 4;
  return `M${(x * scale).toFixed(1)} ${(y * scale).toFixed(1)}q${on} ${-TAIL / 3} ${2 * on} 0t${2 * on} 0`;
}

/** A drop of chain hanging from the flap's edge. */
export function loopPath({ x, y, reach, towards }: Extract<Part, { type: 'loop' }>, scale: number): string {
  const at = (along: number, across: number) => {
    const sign = towards === 'left' ? -1 : 1;
    const [px, py] =
      towards === 'down' || towards === 'up'
        ? [x * scale + across, y * scale + (towards === 'up' ? -along : along)]
        : [x * scale + sign * along, y * scale + across];
    return `${px.toFixed(1)} ${py.toFixed(1)}`;
  };
  const long = reach * scale;
  const half = long * 0.42;
  return `M${at(0, 0)} C${at(long * 0.35, -half * 0.3)} ${at(long * 0.55, -half)} ${at(long * 0.8, -half * 0.75)} C${at(long * 1.06, -half * 0.45)} ${at(long * 1.06, half * 0.45)} ${at(long * 0.8, half * 0.75)} C${at(long * 0.55, half)} ${at(long * 0.35, half * 0.3)} ${at(0, 0)}`;
}
