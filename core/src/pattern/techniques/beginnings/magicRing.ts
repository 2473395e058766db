import { step, type Technique } from '../definition';

/** A ring of yarn that is drawn shut, so that no hole is left in the middle (handbook 14). */
export const magicRing: Technique = {
  id: 'magic-ring',
  family: 'beginning',
  name: 'magic ring',
  abbreviation: 'MR',
  also: ['adjustable ring', 'magic circle'],
  what: 'A ring of yarn that is drawn shut, so that no hole is left in the middle.',
  steps: [
    step('Wrap the yarn twice around two fingers, the tail below.', 'wrap yarn twice round fingers'),
    step(
      'Put the hook under both wraps and draw up a loop of the working yarn; chain 1.',
      'hook under both, draw up lp, ch 1',
    ),
    step('Work the first round over both wraps.', 'work rnd 1 over both'),
    step('Pull the wrap that moves when the tail is pulled, then the tail.', 'pull the wrap that moves, then tail'),
  ],
  looks: 'Stitches that stand around a point, with no hole.',
  mistake: {
    text: 'Only one wrap is drawn shut, and the ring opens in use.',
    repair: 'Pull both wraps, weave the tail once around the middle against its way, and only then cut it.',
  },
  ways: [
    {
      name: 'One wrap',
      steps: [
        step('Wrap the yarn once and work over ring and tail together.', 'wrap once, work over ring and tail'),
        step('Pull the tail to close it.', 'pull tail'),
      ],
    },
    {
      name: 'Closed later',
      steps: [step('Leave the ring a little open until round 2 or 3, then pull it shut.', 'close after rnd 2 or 3')],
    },
  ],
  words: ['into the ring', 'in the ring', 'close the ring', 'the ring'],
};
