import { step, type Technique } from '../definition';

/** New yarn joined where an edge or a part begins (handbook 14). */
export const standingJoin: Technique = {
  id: 'standing-join',
  family: 'beginning',
  name: 'joining the yarn',
  also: ['attaching yarn'],
  what: 'New yarn joined where an edge or a part begins.',
  steps: [
    step(
      'Put the hook in where stated and draw up a loop of the new yarn, the tail behind.',
      'hook in, draw up lp of new yarn',
    ),
    step('Chain 1, or {slip}, and continue.', 'ch 1 or {ss}'),
  ],
  looks: 'A loop on the hook, and a tail of a hand’s width.',
  mistake: {
    text: 'A tail too short to weave in comes loose.',
    repair: 'Leave 15 cm, and work over it for some stitches.',
  },
  words: ['join the yarn', 'join a new piece of yarn', 'join new yarn'],
};
