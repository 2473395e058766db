import { step, type Technique } from '../definition';

/** A loop or a thread that marks a stitch or the end of a row (handbook 14). */
export const stitchMarker: Technique = {
  id: 'stitch-marker',
  family: 'course',
  name: 'stitch marker',
  abbreviation: 'pm',
  what: 'A loop or a thread that marks a stitch or the end of a row.',
  steps: [
    step('Hook it through the V of the stitch, not around its post.', 'hook m through V'),
    step('Move it up where the text says so.', 'move up'),
  ],
  looks: 'It hangs from the top of the stitch.',
  mistake: {
    text: 'Hung around the post, it slides to the neighbour.',
    repair: 'Take it out and hook it through both strands of the V.',
  },
  words: ['stitch marker', 'marker', 'markers', 'bottom fold markers'],
};
