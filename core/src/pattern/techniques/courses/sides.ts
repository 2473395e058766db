import { step, type Technique } from '../definition';

/** Which side will be outside (handbook 14). */
export const sides: Technique = {
  id: 'sides',
  family: 'course',
  name: 'right and wrong side',
  abbreviation: 'RS',
  what: 'Which side will be outside.',
  steps: [
    step('Right side: the Vs stand upright.', 'RS: upright Vs'),
    step('Wrong side: bars lie between them.', 'WS: bars'),
    step('Mark the right side once with a thread.', 'mark RS'),
  ],
  looks: 'In rounds the right side faces you while you work.',
  mistake: { text: 'Turned inside out, the pieces do not match.', repair: 'Turn it before you join, not after.' },
  words: [
    'right side',
    'wrong side',
    'right side out',
    'wrong sides',
    'right sides',
    'wrong sides together',
    'right sides together',
    'right side facing',
    'wrong side facing',
  ],
};
