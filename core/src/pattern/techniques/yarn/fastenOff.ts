import { step, type Technique } from '../definition';

/** The end of a piece: the last loop is closed (handbook 14). */
export const fastenOff: Technique = {
  id: 'fasten-off',
  family: 'yarn',
  name: 'fasten off',
  abbreviation: 'FO',
  what: 'The end of a piece: the last loop is closed.',
  steps: [
    step('Cut the yarn at 15 cm, or at the length stated.', 'cut yarn'),
    step('Draw the end through the last loop and pull it tight.', 'draw through last lp, pull'),
  ],
  looks: 'A small knot at the last stitch.',
  mistake: { text: 'Cut before the piece is checked.', repair: 'Count, lay it flat and try it first.' },
  ways: [
    {
      name: 'With a needle, in rounds',
      steps: [
        step(
          'Draw the end out, go under both loops of the second stitch, then back into the last.',
          'needle under 2nd st, back into last',
        ),
      ],
    },
  ],
  words: ['Fasten off', 'fastening off'],
};
