import { step, type Technique } from '../definition';

/** A bag of cloth inside the cover (handbook 14). */
export const lining: Technique = {
  id: 'lining',
  family: 'finish',
  name: 'lining',
  what: 'A bag of cloth inside the cover.',
  steps: [
    step('Cut the cloth as stated and fold it, right sides together.', 'cut, fold RS together'),
    step('Sew both sides with the seam stated.', 'sew sides'),
    step('Drop it in without turning it, tuck the corners down.', 'drop in'),
    step('Turn the top in and hem it just below the opening; before a zip.', 'hem top'),
  ],
  looks: 'It touches the bottom and does not pull.',
  mistake: { text: 'Hemmed too high, it shows.', repair: 'Turn a little more in.' },
  words: ['lining fabric', 'lining cloth', 'cloth'],
};
