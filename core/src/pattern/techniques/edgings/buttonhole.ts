import { step, type Technique } from '../definition';

/** A hole in the rows of a flap: chains over places left out (handbook 14). */
export const buttonhole: Technique = {
  id: 'buttonhole',
  family: 'edging',
  name: 'buttonhole',
  what: 'A hole in the rows of a flap: chains over places left out.',
  steps: [
    step('Chain the number stated and leave out as many stitches.', 'ch, {sk} as many'),
    step('In the next row work one stitch into each of these chains.', '1 st in each ch next row'),
  ],
  looks: 'A slit the button goes through with a little resistance.',
  mistake: {
    text: 'The next row goes around the chains, and the hole stretches.',
    repair: 'Put the hook into each chain.',
  },
  words: ['buttonholes'],
};
