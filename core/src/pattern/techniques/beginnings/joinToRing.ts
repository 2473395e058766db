import { step, type Technique } from '../definition';

/** A chain or first row closed to a ring that the rounds stand on (handbook 14). */
export const joinToRing: Technique = {
  id: 'join-to-ring',
  family: 'beginning',
  name: 'joining to a ring',
  what: 'A chain or first row closed to a ring that the rounds stand on.',
  steps: [
    step('Lay it flat, all Vs one way.', 'lay flat, Vs one way'),
    step('Without turning it over anywhere, join its end to its beginning with a {slip}.', '{ss} in first ch'),
  ],
  looks: 'A ring that lies flat on the table.',
  mistake: {
    text: 'A twist cannot be taken out once round 1 is worked.',
    repair: 'Pull out the joining stitch, lay it straight and join again.',
  },
  words: ['to form a ring', 'twist the chain', 'twist all the way round the chain', 'twist', 'twisted'],
};
