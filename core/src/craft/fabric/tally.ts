import type { Instruction } from './instruction';

/** Stitches of each kind in a row, and chains besides. */
export type StitchTally = Record<string, number>;

const known = new WeakMap<readonly Instruction[], StitchTally>();

/**
 * How many of each stitch a row is made of, chains under `chain`: what yarn and time are reckoned from. Counted from the
 * same data the referee works; the same row is not counted twice.
 */
export function tallyRow(instructions: readonly Instruction[]): StitchTally {
  const before = known.get(instructions);
  if (before) return before;
  const tally: StitchTally = {};
  addRow(tally, instructions, 1);
  known.set(instructions, tally);
  return tally;
}

/** Adds a row, so many times, to what is counted already. */
export function addRow(tally: StitchTally, instructions: readonly Instruction[], times: number): void {
  for (const one of instructions) addTo(tally, one, times);
}

function addTo(tally: StitchTally, one: Instruction, factor: number): void {
  const add = (stitch: string, count: number) => {
    tally[stitch] = (tally[stitch] ?? 0) + count * factor;
  };
  switch (one.do) {
    case 'work':
    case 'together':
    case 'wrapped':
    case 'both-layers':
    case 'along':
      return add(one.stitch, one.times);
    case 'crossed':
      return add(one.stitch, 2 * one.times);
    case 'group':
      return one.parts.forEach((part) =>
        'stitch' in part ? add(part.stitch, part.count * one.times) : add('chain', part.chains * one.times),
      );
    case 'turning-chain':
    case 'chain':
    case 'loop':
      return add('chain', one.chains);
    case 'join':
    case 'anchor':
      return add('slip', 1);
    case 'chain-across':
      add('chain', one.chains);
      return add('slip', 1);
    case 'slip-along':
      return add('slip', one.times);
    case 'close-loop':
      add('chain', one.chains);
      return add(one.stitch, 1);
    case 'own-row':
      return add('own', one.stitches);
    case 'repeat':
      return one.of.forEach((inner) => addTo(tally, inner, factor * one.times));
    default:
      return undefined;
  }
}
