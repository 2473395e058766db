import { shareOut } from './shareOut';
import type { SequenceDefinition } from './definition';

/** Rows shared out by a ratio, such as 3 to 2 to 1, the whole once or several times over. */
export const ratio: SequenceDefinition = {
  id: 'ratio',
  name: 'by a ratio',
  help: 'each colour gets its part of the rows.',
  part: { label: 'Parts', unit: '', least: 0.1, most: 100, first: 1 },
  options: [
    {
      key: 'times',
      kind: 'number',
      label: 'Times over',
      help: 'How often all colours come.',
      min: 1,
      max: 50,
      whole: true,
      unit: '',
      default: 1,
    },
  ],
  names: ({ colours, times = 1 }, ends) => {
    const parts = colours.map(({ part = 1 }) => part);
    const round = Array.from({ length: Number(times) }, () => colours).flat();
    const rows = shareOut(
      ends.map(() => 1),
      Array.from({ length: Number(times) }, () => parts).flat(),
    );
    return rows.map((index) => round[index]!.name);
  },
};
