import { shareOut } from './shareOut';
import type { SequenceDefinition } from './definition';

/** Rows shared out by what there is of each colour: wide rows take more of it than narrow ones. */
export const grams: SequenceDefinition = {
  id: 'grams',
  name: 'by the grams left',
  help: 'Each colour goes as far as there is of it.',
  part: { label: 'Grams', unit: 'g', least: 0.5, most: 10_000, first: 20 },
  options: [],
  names: ({ colours }, ends) =>
    shareOut(
      ends.map((count) => Math.max(1, count)),
      colours.map(({ part = 1 }) => part),
    ).map((index) => colours[index]!.name),
};
