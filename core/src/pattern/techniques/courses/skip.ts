import { step, type Technique } from '../definition';

/** A place is left unworked (handbook 14). */
export const skip: Technique = {
  id: 'skip',
  family: 'course',
  name: '{skip}',
  abbreviation: '{sk}',
  what: 'A place is left unworked.',
  steps: [step('Leave out the number stated, and work into the one after.', 'leave out number stated')],
  looks: 'A place with nothing in it below the row.',
  mistake: { text: 'The turning chain’s own place is left out twice.', repair: 'Count what stands over each repeat.' },
  words: ['{skip}', '{Skip}', 'skipped', 'missed', 'unworked', 'remaining'],
};
