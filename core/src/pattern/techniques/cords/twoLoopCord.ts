import { step, type Technique } from '../definition';

/** A firm cord that hardly stretches, turned after every stitch (handbook 14). */
export const twoLoopCord: Technique = {
  id: 'two-loop-cord',
  family: 'cord',
  level: { is: 'intermediate', since: 'a cord of its own stitch' },
  name: 'two-loop cord',
  stitch: 'two-loop',
  also: ['Romanian cord'],
  what: 'A firm cord that hardly stretches, turned after every stitch.',
  steps: [
    step('Chain 2, {single} in the first.', 'ch 2, {sc} in first ch'),
    step('Turn. {Single} under the one loop at the side.', 'turn, {sc} under side lp'),
    step('Turn. From here on {single} under the two twisted loops at the side.', 'turn, {sc} under 2 side lps; repeat'),
  ],
  looks: 'A flat braid, the same on both sides.',
  mistake: {
    text: 'One of the two loops is left out, and the cord thins.',
    repair: 'Pull out that stitch and look for both strands at the edge.',
  },
  words: ['two-loop', 'cord stitches of two loops', 'Romanian cord'],
};
