import { step, type Technique } from '../definition';

/** Rounds that run into each other, never joined (handbook 14). */
export const spiral: Technique = {
  id: 'spiral',
  family: 'course',
  level: { is: 'easy', since: 'rounds' },
  name: 'spiral rounds',
  also: ['continuous rounds'],
  what: 'Rounds that run into each other, never joined.',
  steps: [
    step('Mark the first stitch of each round with a stitch marker.', 'pm in first st'),
    step('Work on into it without joining, and move the marker up.', 'work on, move m up'),
  ],
  looks: 'No seam; the last round ends a step higher than it began.',
  mistake: {
    text: 'The marker slips, and a round is miscounted.',
    repair: 'Put it through the V, not under it, and move it every round.',
  },
  words: ['spiral', 'level the step', 'first stitch of round 1'],
};
