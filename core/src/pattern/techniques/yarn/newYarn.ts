import { step, type Technique } from '../definition';

/** New yarn where the old one ends (handbook 14). */
export const newYarn: Technique = {
  id: 'new-yarn',
  family: 'yarn',
  name: 'joining a new ball',
  what: 'New yarn where the old one ends.',
  steps: [
    step('At an edge where it can be: leave both tails.', 'at an edge, leave tails'),
    step('Else lay the new yarn in for the last pull-through of a stitch.', 'else at last pull-through'),
  ],
  looks: 'Nothing to be seen from the right side.',
  mistake: {
    text: 'A knot in mid-row works through to the front.',
    repair: 'Put it to the inside, pull it hard, and cut close.',
  },
  ways: [
    {
      name: 'Knotted',
      steps: [
        step(
          'Tie two knots that draw against each other, pull hard, cut close, never the working yarn.',
          'tie 2 knots, pull hard, cut close',
        ),
      ],
    },
  ],
  words: ['new ball', 'new yarn', 'yarn of its own'],
};
