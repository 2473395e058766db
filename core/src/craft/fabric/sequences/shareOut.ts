/**
 * Things of some weight shared out in order to parts of a size: each lies in the part its middle falls into (law).
 *
 * @returns for each thing the part it falls to
 */
export function shareOut(weights: readonly number[], parts: readonly number[]): number[] {
  const all = weights.reduce((sum, one) => sum + one, 0);
  const whole = parts.reduce((sum, one) => sum + one, 0);
  let [done, part, upTo] = [0, 0, parts[0]! / whole];
  return weights.map((weight) => {
    const middle = (done + weight / 2) / all;
    done += weight;
    while (middle > upTo && part < parts.length - 1) upTo += parts[++part]! / whole;
    return part;
  });
}
