import { step, type Technique } from '../definition';

/** A zip sewn to the inside of the opening (handbook 14). */
export const zip: Technique = {
  id: 'zip',
  family: 'finish',
  level: { is: 'intermediate', since: 'a zip' },
  name: 'setting in a zip',
  also: ['zipper'],
  what: 'A zip sewn to the inside of the opening.',
  steps: [
    step('Pin it closed and centred, its ends beyond the seams turned in.', 'pin closed, centred'),
    step('Open it and backstitch the tape, a row below the edge.', 'open, backstitch tape'),
    step('Tack the surplus to the inside.', 'tack surplus'),
  ],
  looks: 'The teeth just within the edge, both sides level.',
  mistake: {
    text: 'The edge ripples: the tape was stretched.',
    repair: 'Unpick it, pin both ends and the middle first.',
  },
  words: ['zip', 'zipper'],
};
