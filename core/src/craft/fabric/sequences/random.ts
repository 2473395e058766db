import { seeded } from '../../../base/figure';
import type { SequenceDefinition } from './definition';

/** Stripes as chance has them, the same for the same seed; no colour follows on itself. */
export const random: SequenceDefinition = {
  id: 'random',
  name: 'at random',
  help: 'Another seed gives another order.',
  options: [
    {
      key: 'seed',
      kind: 'number',
      label: 'Seed',
      help: 'The same seed gives the same stripes.',
      min: 1,
      max: 9999,
      whole: true,
      unit: '',
      default: 1,
    },
    {
      key: 'least',
      kind: 'number',
      label: 'Fewest rows',
      help: '',
      min: 1,
      max: 100,
      whole: true,
      unit: '',
      default: 1,
    },
    { key: 'most', kind: 'number', label: 'Most rows', help: '', min: 1, max: 100, whole: true, unit: '', default: 4 },
  ],
  names: ({ colours, seed = 1, least = 1, most = 4 }, ends) => {
    const next = seeded(Number(seed));
    const [low, high] = [Math.min(Number(least), Number(most)), Math.max(Number(least), Number(most))];
    const names: string[] = [];
    let before = -1;
    while (names.length < ends.length) {
      const others = colours.map((_, index) => index).filter((index) => index !== before || colours.length === 1);
      before = others[Math.floor(next() * others.length)]!;
      const rows = low + Math.floor(next() * (high - low + 1));
      for (let row = 0; row < rows; row += 1) names.push(colours[before]!.name);
    }
    return names.slice(0, ends.length);
  },
};
