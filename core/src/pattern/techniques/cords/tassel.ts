import { step, type Technique } from '../definition';

/** A bundle of strands bound at the top (handbook 14). */
export const tassel: Technique = {
  id: 'tassel',
  family: 'cord',
  name: 'tassel',
  what: 'A bundle of strands bound at the top.',
  steps: [
    step('Wind the yarn around a card as long as the tassel.', 'wind round card'),
    step('Tie it at the top with a strand half as long again.', 'tie at top'),
    step('Cut the other end, bind it a fifth of the way down, trim.', 'cut, bind, trim'),
  ],
  looks: 'Strands that hang level.',
  mistake: { text: 'Bound loosely, it slides apart.', repair: 'Bind it again, three turns and a knot drawn inside.' },
  words: ['tassels'],
};
