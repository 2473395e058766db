import type { TailsDefinition } from './definition';

export const over: TailsDefinition = {
  id: 'over',
  name: 'work over them',
  summary: 'Nothing left to do at the end; in thin fabric they may show.',
  atChange: 'Lay both tails along the top and work over them for the next 8 stitches.',
  minutes: 0.5,
};
