import { step, type Technique } from '../definition';

/** Lines sewn through two layers, so that each item has its own room (handbook 14). */
export const dividers: Technique = {
  id: 'dividers',
  family: 'seam',
  name: 'dividing lines',
  what: 'Lines sewn through two layers, so that each item has its own room.',
  steps: [
    step('Mark the line with pins along one column, up to the opening.', 'pin line'),
    step('Backstitch from the bottom up, twice at the opening.', 'backstitch, twice at top'),
  ],
  looks: 'Straight, and as deep as the item.',
  mistake: { text: 'The line leans over to the next column.', repair: 'Unpick it and follow the pins.' },
  ways: [
    {
      name: 'Crocheted',
      steps: [
        step('Work slip stitches from the front through both layers along the column.', '{ss} through both layers'),
      ],
    },
  ],
  words: ['divider', 'dividers', 'divider lines', 'lines from the bottom'],
};
