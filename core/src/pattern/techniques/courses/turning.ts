import { step, type Technique } from '../definition';

/** At a row’s end the work is turned, so that the next row goes back the way it came (handbook 14). */
export const turning: Technique = {
  id: 'turning',
  family: 'course',
  name: 'turning the work',
  what: 'At a row’s end the work is turned, so that the next row goes back the way it came.',
  steps: [step('Turn the work like a page, always the same way.', 'turn')],
  looks: 'Rows that show right and wrong side in turn.',
  mistake: {
    text: 'Turned after every row both ways, the yarn twists.',
    repair: 'Turn it always towards you, or always away.',
  },
  words: ['Turn', 'without turning', 'turned'],
};
