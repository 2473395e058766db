/** Chance of the proof's own, from a seed: nothing is shared with what is proved. */
export interface Dice {
  /** From 0 up to 1. */
  uniform: () => number;
  /** Standard normal. */
  normal: () => number;
  between: (least: number, most: number) => number;
  oneOf: <T>(list: readonly T[]) => T;
}

/** xorshift with 32 bits of state, and the normal by two uniforms. */
export function diceOf(seed: number): Dice {
  let state = seed | 1;
  const uniform = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return {
    uniform,
    normal,
    between: (least, most) => least + (most - least) * uniform(),
    oneOf: (list) => list[Math.floor(uniform() * list.length)]!,
  };
}
