import { step, type Technique } from '../definition';

/** A drop that keeps a knot from opening (handbook 14). */
export const glueOnKnot: Technique = {
  id: 'glue-on-knot',
  family: 'yarn',
  name: 'glue on a knot',
  what: 'A drop that keeps a knot from opening.',
  steps: [
    step('Put one drop of clear-drying glue on the knot, with the window open.', '1 drop of glue'),
    step('Let it dry before you cut.', 'let dry, cut'),
  ],
  looks: 'A knot that stays dark only while it is wet.',
  mistake: { text: 'Cut while wet, the end draws out.', repair: 'Let it dry for an hour, tie and glue it again.' },
  words: ['glue'],
};
